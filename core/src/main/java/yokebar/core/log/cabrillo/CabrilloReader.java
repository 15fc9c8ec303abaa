package yokebar.core.log.cabrillo;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.adif.RecordReader;

/**
 * Reads the contacts of a Cabrillo 3.0 log: {@code QSO: freq mode date time call sent… call received… [transmitter]}. How many
 * words an exchange has differs from contest to contest; the other station's call is found where both halves come out alike.
 */
public final class CabrilloReader implements RecordReader {
    private static final int LONGEST_LINE = 10_000;
    private static final int BEFORE_CALL = 4;
    private static final int LOWEST_VHF_MHZ = 50;
    private static final Map<String, String> MODES =
            Map.of("CW", "CW", "PH", "SSB", "FM", "FM", "RY", "RTTY", "DG", "DATA");

    private final BufferedReader lines;
    private String contest = "";
    private String raw = "";
    private long line;
    private int index;

    public CabrilloReader(InputStream in) {
        lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8));
    }

    @Override
    public @Nullable AdifRecord next() throws IOException {
        for (String text = readLine(); text != null; text = readLine()) {
            line++;
            String upper = text.strip().toUpperCase(Locale.ROOT);
            if (upper.startsWith("CONTEST:")) {
                contest = upper.substring("CONTEST:".length()).strip();
            } else if (upper.startsWith("QSO:") || upper.startsWith("X-QSO:")) {
                raw = text.strip();
                return contact(upper.substring(upper.indexOf(':') + 1).strip().split("\\s+"));
            }
        }
        return null;
    }

    @Override
    public String rawRecord() {
        return raw;
    }

    @Override
    public long line() {
        return line;
    }

    /** A line without its end; what is beyond any sensible length is dropped. */
    private @Nullable String readLine() throws IOException {
        StringBuilder text = new StringBuilder();
        int c = lines.read();
        if (c < 0) {
            return null;
        }
        while (c >= 0 && c != '\n') {
            if (text.length() < LONGEST_LINE) {
                text.append((char) c);
            }
            c = lines.read();
        }
        return text.toString();
    }

    private AdifRecord contact(String[] words) {
        int partner = partner(words);
        if (words.length < BEFORE_CALL + 2 || partner < 0) {
            return fault("The line has no two calls with an exchange behind each.");
        }
        String mode = MODES.get(words[1]);
        if (mode == null) {
            return fault("The mode " + words[1] + " does not say which it was; write CW, PH, FM, RY or DG.");
        }
        AdifFields.Builder fields = new AdifFields.Builder();
        fields.put("CALL", words[partner]).put("MODE", mode);
        fields.put("QSO_DATE", words[2].replace("-", "")).put("TIME_ON", words[3]);
        fields.put("STATION_CALLSIGN", words[BEFORE_CALL]).put("CONTEST_ID", contest);
        frequency(words[0], fields);
        List<String> all = Arrays.asList(words);
        int words2 = partner - BEFORE_CALL - 1;
        exchange(all.subList(BEFORE_CALL + 1, partner), "RST_SENT", "STX", fields);
        exchange(all.subList(partner + 1, partner + 1 + words2), "RST_RCVD", "SRX", fields);
        return new AdifRecord(++index, fields.build(), null, true);
    }

    private AdifRecord fault(String sentence) {
        return new AdifRecord(++index, AdifFields.EMPTY, sentence, true);
    }

    /** Behind it stand as many words as between the two calls, or one more for the transmitter. */
    private static int partner(String[] words) {
        for (int i = BEFORE_CALL + 1; i < words.length; i++) {
            int sent = i - BEFORE_CALL - 1;
            int received = words.length - 1 - i;
            boolean alike = received == sent || received == sent + 1 && words[words.length - 1].matches("\\d");
            if (alike && Call.read(words[i]) != null) {
                return i;
            }
        }
        return -1;
    }

    private static void frequency(String word, AdifFields.Builder fields) {
        Band named = CabrilloBands.named(word);
        if (named != null) {
            fields.put("BAND", named.adifName());
            return;
        }
        try {
            double kiloHertz = Double.parseDouble(word);
            Band band = Band.of(Math.round(kiloHertz * 1000));
            // A contest log that knows only the band gives its lower edge in kHz, such as 14000.
            if (band != null || kiloHertz > LOWEST_VHF_MHZ) {
                fields.put(
                        "FREQ",
                        java.math.BigDecimal.valueOf(kiloHertz)
                                .movePointLeft(3)
                                .stripTrailingZeros()
                                .toPlainString());
            }
        } catch (NumberFormatException e) {
            fields.put("FREQ", word);
        }
    }

    private static void exchange(List<String> words, String report, String sent, AdifFields.Builder fields) {
        List<String> rest = words;
        if (!rest.isEmpty() && rest.get(0).matches("[1-5][1-9][1-9N]?")) {
            fields.put(report, rest.get(0));
            rest = rest.subList(1, rest.size());
        }
        String text = String.join(" ", rest);
        fields.put(text.matches("\\d{1,9}") ? sent : sent + "_STRING", text);
    }
}
