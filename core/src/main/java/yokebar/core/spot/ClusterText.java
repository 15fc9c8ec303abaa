package yokebar.core.spot;

import java.time.LocalTime;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.call.Call;

/**
 * Reads the lines all cluster nodes and skimmers speak: {@code DX de CALL:   14025.0  ZP5QXA   comment   1407Z}, {@code To ALL
 * de CALL: …}, {@code WWV de CALL <18>: SFI=152, A=9, K=2, …}, {@code WCY de CALL <18> : K=3 … A=12 … SFI=150 …}. Whatever else
 * comes is given back as it is; nothing makes it fail.
 */
public final class ClusterText {
    private static final int LONGEST_LINE = 400;
    private static final double LOWEST_KHZ = 100;
    private static final double HIGHEST_KHZ = 250_000_000;
    private static final Pattern SPACE = Pattern.compile("\\s+");
    private static final Pattern TO_ALL = Pattern.compile("(?i)^To (ALL|LOCAL|[A-Z]{2,8}) de ([^\\s:]+)\\s*:\\s*(.*)$");
    private static final Pattern TALK = Pattern.compile("^([A-Z0-9/]{3,}) de ([A-Z0-9/-]{3,})\\s*:\\s*(.*)$");
    private static final Pattern SUN = Pattern.compile("(?i)^(WWV|WCY) de [^:]*:\\s*(.*)$");
    private static final Pattern NUMBER = Pattern.compile("(?i)(?<![a-z])(SFI|A|K)\\s*=\\s*(\\d{1,3})");
    private static final Pattern SNR = Pattern.compile("(?i)(-?\\d{1,2}) ?dB\\b");
    private static final Pattern CQ = Pattern.compile("(?i)\\bCQ\\b");

    private ClusterText() {}

    public static ClusterLine read(String line) {
        String text = printable(line);
        if (text.regionMatches(true, 0, "DX de ", 0, 6)) {
            ClusterLine spot = spot(text);
            return spot == null ? new ClusterLine.Other(text) : spot;
        }
        Matcher sun = SUN.matcher(text);
        if (sun.matches()) {
            return solar(sun.group(2));
        }
        Matcher all = TO_ALL.matcher(text);
        if (all.matches()) {
            Call from = station(all.group(2));
            return from == null ? new ClusterLine.Other(text) : new ClusterLine.Announcement(from, all.group(3));
        }
        Matcher talk = TALK.matcher(text);
        if (talk.matches()) {
            Call to = station(talk.group(1));
            Call from = station(talk.group(2));
            return to == null || from == null
                    ? new ClusterLine.Other(text)
                    : new ClusterLine.Talk(from, to, talk.group(3));
        }
        return new ClusterLine.Other(text);
    }

    private static ClusterLine.@Nullable Spot spot(String text) {
        int colon = text.indexOf(':');
        String[] words;
        String spotterText;
        if (colon > 0) {
            spotterText = text.substring(6, colon).strip();
            words = SPACE.split(text.substring(colon + 1).strip(), 3);
        } else {
            String[] all = SPACE.split(text.substring(6).strip(), 4);
            if (all.length < 3) {
                return null;
            }
            spotterText = all[0];
            words = new String[] {all[1], all[2], all.length > 3 ? all[3] : ""};
        }
        Call spotter = station(spotterText);
        Call call = words.length < 2 ? null : Call.read(words[1]);
        long hertz = words.length < 2 ? 0 : hertz(words[0]);
        if (spotter == null || call == null || hertz == 0) {
            return null;
        }
        String rest = words.length > 2 ? words[2] : "";
        Ending ending = ending(rest);
        Matcher snr = SNR.matcher(ending.comment());
        return new ClusterLine.Spot(
                spotter,
                spotterText.endsWith("#"),
                hertz,
                call,
                ending.comment(),
                snr.find() ? Integer.valueOf(snr.group(1)) : null,
                CQ.matcher(ending.comment()).find(),
                ending.at());
    }

    private record Ending(String comment, @Nullable LocalTime at) {}

    /** The time stands at the end, {@code 1407Z}, sometimes with a locator behind it. */
    private static Ending ending(String rest) {
        int z = rest.length();
        while ((z = rest.lastIndexOf('Z', z - 1)) >= 4) {
            LocalTime at = time(rest, z);
            boolean blankBefore = z == 4 || Character.isWhitespace(rest.charAt(z - 5));
            boolean endsWord = z + 1 == rest.length() || Character.isWhitespace(rest.charAt(z + 1));
            if (at != null && blankBefore && endsWord) {
                return new Ending(rest.substring(0, z - 4).strip(), at);
            }
        }
        return new Ending(rest.strip(), null);
    }

    private static @Nullable LocalTime time(String text, int z) {
        int number = 0;
        for (int i = z - 4; i < z; i++) {
            char c = text.charAt(i);
            if (c < '0' || c > '9') {
                return null;
            }
            number = number * 10 + c - '0';
        }
        return number / 100 > 23 || number % 100 > 59 ? null : LocalTime.of(number / 100, number % 100);
    }

    private static long hertz(String kilohertz) {
        try {
            double value = Double.parseDouble(kilohertz.replace(',', '.'));
            return value >= LOWEST_KHZ && value <= HIGHEST_KHZ ? Math.round(value * 1000) : 0;
        } catch (NumberFormatException e) {
            return 0;
        }
    }

    private static ClusterLine.Solar solar(String text) {
        Integer flux = null;
        Integer a = null;
        Integer k = null;
        Matcher number = NUMBER.matcher(text);
        while (number.find()) {
            Integer value = Integer.valueOf(number.group(2));
            switch (number.group(1).toUpperCase(Locale.ROOT)) {
                case "SFI" -> flux = value;
                case "A" -> a = value;
                default -> k = k == null ? value : k;
            }
        }
        return new ClusterLine.Solar(flux, a, k, text.strip());
    }

    /** A call with the marks of its program behind it taken off: {@code CU9QYB-#}, {@code CU9QYB-2}, {@code CU9QYB-2-#}. */
    private static @Nullable Call station(String text) {
        int dash = text.indexOf('-');
        return Call.read(dash > 0 ? text.substring(0, dash) : text);
    }

    private static String printable(String line) {
        StringBuilder text = new StringBuilder(Math.min(line.length(), LONGEST_LINE));
        for (int i = 0; i < line.length() && text.length() < LONGEST_LINE; i++) {
            char c = line.charAt(i);
            if (c >= ' ' && c != 127) {
                text.append(c);
            } else if (c == '\t') {
                text.append(' ');
            }
        }
        return text.toString().strip();
    }
}
