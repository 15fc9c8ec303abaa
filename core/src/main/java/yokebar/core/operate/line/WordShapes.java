package yokebar.core.operate.line;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.WrittenFrequency;

/** What a word of the contact line looks like, whatever stands around it. */
final class WordShapes {
    /** A report by ear, or in dB; in code 9 is sent as N, 1 as A and 0 as T. */
    static final Pattern REPORT = Pattern.compile("[1-5][1-9n](?:[1-9nat])?|[+-]\\d{2}|r[+-]\\d{2}");
    /** 59 and so many dB above. */
    static final Pattern OVER = Pattern.compile("([1-5][1-9])\\+(\\d{0,2})(?:db)?");
    /** A report with an exchange right behind it. */
    static final Pattern REPORT_AND_MORE = Pattern.compile("([45][1-9n](?:[9n])?)([0-9a-z]{1,5})");

    static final Pattern ANY_REPORT = Pattern.compile("[1-5][1-9n](?:[1-9nat])?|[1-5][1-9]\\+\\d{0,2}|r?[+-]?\\d{1,2}");
    static final Pattern TIME = Pattern.compile("([0-2]?\\d):([0-5]\\d)|([0-2]\\d)([0-5]\\d)[zZ]");
    static final Pattern SPAN = Pattern.compile("([0-2]?\\d:[0-5]\\d)-([0-2]?\\d:[0-5]\\d)");
    static final Pattern DATE = Pattern.compile("\\d{4}-\\d{2}-\\d{2}|(?:19|20)\\d{6}");
    static final Pattern FOUR_DIGITS = Pattern.compile("\\d{4}");
    static final Pattern SHORT_NUMBER = Pattern.compile("\\d{1,4}");
    static final Pattern POWER = Pattern.compile("(\\d{1,5}(?:\\.\\d+)?)(w|kw|mw)");
    static final Pattern DECIMAL = Pattern.compile("\\d{1,9}[.,]\\d{1,6}");
    static final Pattern NUMBER = Pattern.compile("\\d{1,9}(?:[.,]\\d{1,6})?");
    static final Pattern SHIFT = Pattern.compile("(up|dn|down)(\\d{1,2}(?:\\.\\d)?)?");
    static final Pattern SHIFT_BY = Pattern.compile("\\d{1,2}(?:\\.\\d)?");
    static final Pattern NAME = Pattern.compile("\\p{L}[\\p{L}'.-]*");
    static final Pattern LIKE_A_CALL = Pattern.compile("[a-z0-9/]*[0-9][a-z0-9/]*[a-z][a-z0-9/]*");
    static final Pattern LIKE_A_LOCATOR = Pattern.compile("[a-z]{2}\\d{2}(?:[a-z]{2})?");
    static final Pattern ISLAND = Pattern.compile("(?:af|an|as|eu|na|oc|sa)-\\d{3}");
    static final Pattern SUMMIT = Pattern.compile("[a-z0-9]{1,3}/[a-z]{2}-\\d{3}");
    static final Pattern PARK = Pattern.compile("[a-z0-9]{1,4}-\\d{4,5}");

    /** Calls as they are issued: a letter prefix, or one of a letter and a digit, an area number and a suffix. */
    private static final Pattern ISSUED = Pattern.compile("(?:[a-z]{1,2}|\\d[a-z]{1,2}|[a-z]\\d)\\d{1,4}[a-z]{1,7}");

    private static final Set<String> COURTESIES =
            Set.of("tu", "tnx", "tks", "thx", "73", "88", "rr73", "rrr", "qsl", "cul", "gl");
    private static final DateTimeFormatter DAY = DateTimeFormatter.BASIC_ISO_DATE;

    private WordShapes() {}

    /** Whether it can be the whole call of a station, with or without designators. */
    static boolean isIssuedCall(String word) {
        return Arrays.stream(word.split("/"))
                        .anyMatch(part -> ISSUED.matcher(part).matches())
                && LIKE_A_CALL.matcher(word).matches();
    }

    static boolean isCourtesy(String word) {
        return COURTESIES.contains(word);
    }

    /** {@code 14:07} or {@code 1407}, UTC; null when there is no such time. */
    static @Nullable LocalTime clock(String text) {
        String digits = text.replace(":", "").toLowerCase(Locale.ROOT).replaceAll("z$", "");
        if (digits.length() < 3 || digits.length() > 4) {
            return null;
        }
        try {
            int number = Integer.parseInt(digits);
            return LocalTime.of(number / 100, number % 100);
        } catch (DateTimeException | NumberFormatException e) {
            return null;
        }
    }

    static @Nullable LocalDate day(String text) {
        try {
            return text.contains("-") ? LocalDate.parse(text) : LocalDate.parse(text, DAY);
        } catch (DateTimeException e) {
            return null;
        }
    }

    /** In Hz, of a number as {@link #NUMBER} has it. */
    static long hz(String number) {
        return WrittenFrequency.hz(decimal(number));
    }

    static BigDecimal decimal(String number) {
        return new BigDecimal(number.replace(',', '.'));
    }

    static boolean onABand(String number) {
        return Band.of(hz(number)) != null;
    }

    /**
     * A power in watts, as digits.
     *
     * @param unit {@code w}, {@code kw} or {@code mw}
     */
    static String watts(String number, String unit) {
        int digits = unit.equals("kw") ? 3 : unit.equals("mw") ? -3 : 0;
        return decimal(number).movePointRight(digits).toPlainString();
    }
}
