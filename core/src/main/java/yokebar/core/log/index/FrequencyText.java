package yokebar.core.log.index;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Frequencies as written in a search. One alone stands for all that begin like it: {@code 14074} for 14 074.0 to 14 074.9 kHz,
 * {@code 7.1} for 7.1 to 7.199 MHz.
 */
final class FrequencyText {
    private static final Pattern NUMBER = Pattern.compile("\\d{1,9}(?:\\.\\d{0,6})?");
    private static final Pattern RANGE = Pattern.compile("(\\d+(?:\\.\\d+)?)?\\.\\.(\\d+(?:\\.\\d+)?)?");
    private static final Pattern BOUND = Pattern.compile("(>=|<=|>|<)(.+)");
    private static final int KHZ = 3;
    private static final int MHZ = 6;

    /** By how many digits the decimal point moves to give Hz. */
    interface Unit {
        int digits(BigDecimal number);
    }

    private FrequencyText() {}

    static int kilohertz(BigDecimal number) {
        return KHZ;
    }

    static int megahertz(BigDecimal number) {
        return MHZ;
    }

    /** A frequency, two with {@code ..} between them, or one behind a sign such as {@code >=}; null when it is none of these. */
    static Condition.@Nullable OnFrequency condition(String text, Unit unit) {
        Matcher range = RANGE.matcher(text);
        if (range.matches() && text.length() > 2) {
            return new Condition.OnFrequency(
                    range.group(1) == null ? 0 : hz(range.group(1), unit),
                    range.group(2) == null ? Long.MAX_VALUE : hz(range.group(2), unit));
        }
        Matcher bound = BOUND.matcher(text);
        String number = bound.matches() ? bound.group(2) : text;
        if (!NUMBER.matcher(number).matches()) {
            return null;
        }
        long hz = hz(number, unit);
        if (!bound.matches()) {
            return new Condition.OnFrequency(hz, hz + step(number, unit) - 1);
        }
        return switch (bound.group(1)) {
            case ">" -> new Condition.OnFrequency(hz + 1, Long.MAX_VALUE);
            case ">=" -> new Condition.OnFrequency(hz, Long.MAX_VALUE);
            case "<" -> new Condition.OnFrequency(0, hz - 1);
            default -> new Condition.OnFrequency(0, hz);
        };
    }

    private static long hz(String text, Unit unit) {
        BigDecimal number = new BigDecimal(text);
        return number.movePointRight(unit.digits(number)).longValue();
    }

    /** The worth of the last digit, Hz. */
    private static long step(String text, Unit unit) {
        BigDecimal number = new BigDecimal(text);
        int dot = text.indexOf('.');
        int decimals = dot < 0 ? 0 : text.length() - dot - 1;
        return Math.max(
                1, BigDecimal.ONE.movePointRight(unit.digits(number) - decimals).longValue());
    }
}
