package yokebar.standins.adif;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads strict ADIF text. */
public final class AdifText {
    private static final Pattern TAG = Pattern.compile("<([A-Za-z0-9_]+)(?::(\\d+)(?::[A-Za-z])?)?>");
    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("yyyyMMddHHmm");

    private AdifText() {}

    /** The records of strict ADIF text with lengths in bytes. */
    public static List<Map<String, String>> records(byte[] adif) {
        // One char a byte, so that lengths in bytes are lengths in chars here.
        String text = new String(adif, StandardCharsets.ISO_8859_1);
        List<Map<String, String>> records = new ArrayList<>();
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher tag = TAG.matcher(text);
        int from = 0;
        while (tag.find(from)) {
            String name = tag.group(1).toUpperCase(Locale.ROOT);
            from = tag.end();
            if (name.equals("EOH")) {
                fields = new LinkedHashMap<>();
            } else if (name.equals("EOR")) {
                records.add(fields);
                fields = new LinkedHashMap<>();
            } else if (tag.group(2) != null) {
                int end = from + Integer.parseInt(tag.group(2));
                byte[] value = text.substring(from, end).getBytes(StandardCharsets.ISO_8859_1);
                fields.put(name, new String(value, StandardCharsets.UTF_8));
                from = end;
            }
        }
        return records;
    }

    /** What the services take for one contact: own call, call, band, mode and start to the minute. */
    public static String key(Map<String, String> fields) {
        String time = fields.getOrDefault("TIME_ON", "0000");
        return String.join(
                " ",
                fields.getOrDefault("STATION_CALLSIGN", "?"),
                fields.getOrDefault("CALL", "?"),
                fields.getOrDefault("BAND", "?").toLowerCase(Locale.ROOT),
                fields.getOrDefault("MODE", "?"),
                fields.getOrDefault("QSO_DATE", "?"),
                time.substring(0, Math.min(4, time.length())));
    }

    /**
     * When a contact began, to the minute, UTC.
     *
     * @throws java.time.DateTimeException when the record does not say
     */
    public static Instant start(Map<String, String> fields) {
        String time = fields.getOrDefault("TIME_ON", "");
        String minute = fields.getOrDefault("QSO_DATE", "") + time.substring(0, Math.min(4, time.length()));
        return LocalDateTime.parse(minute, MINUTE).toInstant(ZoneOffset.UTC);
    }
}
