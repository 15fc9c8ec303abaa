package yokebar.core.sources.spot;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;

/**
 * Reads the lines all cluster nodes and skimmers speak: {@code DX de CALL:   14025.0  ZP5QXA   comment   1407Z}, {@code To ALL
 * de CALL: …}, {@code WWV de CALL <18>: SFI=152, A=9, K=2, …}, {@code WCY de CALL <18> : K=3 … A=12 … SFI=150 …}. Whatever else
 * comes is given back as it is; nothing makes it fail. What a node answers when it is asked for older spots, {@code 14025.0 ZP5QXA
 * 23-Nov-2026 1407Z comment <CALL>}, is a spot, too.
 */
public final class ClusterText {
    private static final int LONGEST_LINE = 400;
    private static final double LOWEST_KHZ = 100;
    private static final double HIGHEST_KHZ = 250_000_000;
    private static final Pattern TO_ALL = Pattern.compile("(?i)^To (ALL|LOCAL|[A-Z]{2,8}) de ([^\\s:]+)\\s*:\\s*(.*)$");
    private static final Pattern TALK = Pattern.compile("^([A-Z0-9/]{3,}) de ([A-Z0-9/-]{3,})\\s*:\\s*(.*)$");
    private static final Pattern OLDER = Pattern.compile(
            "^(\\d{3,9}(?:\\.\\d{1,3})?) +([A-Z0-9/]{3,}) +(\\d{1,2}-[A-Z]{3}-\\d{4}) +(\\d{4})Z ?(.*?) *<([A-Z0-9/#-]{3,})>$",
            Pattern.CASE_INSENSITIVE);
    private static final DateTimeFormatter DAY = new DateTimeFormatterBuilder()
            .parseCaseInsensitive()
            .appendPattern("d-MMM-uuuu")
            .toFormatter(Locale.ENGLISH);
    private static final Pattern SUN = Pattern.compile("(?i)^(WWV|WCY) de [^:]*:\\s*(.*)$");
    private static final Pattern NUMBER = Pattern.compile("(?i)(?<![a-z])(SFI|A|K)\\s*=\\s*(\\d{1,3})");

    private ClusterText() {}

    public static ClusterLine read(String line) {
        String text = printable(line);
        if (text.regionMatches(true, 0, "DX de ", 0, 6)) {
            ClusterLine spot = spot(text);
            return spot == null ? new ClusterLine.Other(text) : spot;
        }
        Matcher older = OLDER.matcher(text);
        if (older.matches()) {
            ClusterLine spot = older(older);
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
        String spotterText;
        int at;
        if (colon > 0) {
            spotterText = text.substring(6, colon).strip();
            at = colon + 1;
        } else {
            int start = wordStart(text, 6);
            at = wordEnd(text, start);
            spotterText = text.substring(start, at);
        }
        int frequencyStart = wordStart(text, at);
        int frequencyEnd = wordEnd(text, frequencyStart);
        int callStart = wordStart(text, frequencyEnd);
        int callEnd = wordEnd(text, callStart);
        Call spotter = station(spotterText);
        Call call = Call.read(text.substring(callStart, callEnd));
        long hertz = hertz(text.substring(frequencyStart, frequencyEnd));
        if (spotter == null || call == null || hertz == 0) {
            return null;
        }
        Ending ending = ending(text.substring(wordStart(text, callEnd)));
        return new ClusterLine.Spot(
                spotter,
                spotterText.endsWith("#"),
                hertz,
                call,
                ending.comment(),
                decibels(ending.comment()),
                callsAnybody(ending.comment()),
                ending.at(),
                null);
    }

    private static ClusterLine.@Nullable Spot older(Matcher line) {
        Call spotter = station(line.group(6));
        Call call = Call.read(line.group(2));
        long hertz = hertz(line.group(1));
        LocalTime at = time(line.group(4) + "Z", 4);
        if (spotter == null || call == null || hertz == 0 || at == null) {
            return null;
        }
        String comment = line.group(5).strip();
        try {
            return new ClusterLine.Spot(
                    spotter,
                    line.group(6).endsWith("#"),
                    hertz,
                    call,
                    comment,
                    decibels(comment),
                    callsAnybody(comment),
                    at,
                    LocalDate.parse(line.group(3), DAY));
        } catch (DateTimeParseException e) {
            return null;
        }
    }

    private static int wordStart(String text, int from) {
        int at = from;
        while (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
        return at;
    }

    private static int wordEnd(String text, int from) {
        int at = text.indexOf(' ', from);
        return at < 0 ? text.length() : at;
    }

    /** {@code 25 dB}, {@code -7dB}: the number before the unit, of two digits at the most. */
    private static @Nullable Integer decibels(String comment) {
        for (int unit = comment.indexOf("dB"); unit > 0; unit = comment.indexOf("dB", unit + 1)) {
            int end = comment.charAt(unit - 1) == ' ' ? unit - 1 : unit;
            int start = end;
            while (start > 0 && end - start < 2 && isDigit(comment.charAt(start - 1))) {
                start--;
            }
            boolean wholeNumber = start == 0 || !isDigit(comment.charAt(start - 1));
            if (start < end && wholeNumber) {
                int value = Integer.parseInt(comment, start, end, 10);
                return start > 0 && comment.charAt(start - 1) == '-' ? -value : value;
            }
        }
        return null;
    }

    private static boolean callsAnybody(String comment) {
        for (int i = 0; i + 2 <= comment.length(); i++) {
            if ((comment.charAt(i) | 0x20) == 'c'
                    && (comment.charAt(i + 1) | 0x20) == 'q'
                    && (i == 0 || !Character.isLetterOrDigit(comment.charAt(i - 1)))
                    && (i + 2 == comment.length() || !Character.isLetterOrDigit(comment.charAt(i + 2)))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private record Ending(String comment, @Nullable LocalTime at) {}

    /** The time stands at the end, {@code 1407Z}, sometimes with a locator behind it. */
    private static Ending ending(String rest) {
        int z = rest.length();
        while ((z = Math.max(rest.lastIndexOf('Z', z - 1), rest.lastIndexOf('z', z - 1))) >= 4) {
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
