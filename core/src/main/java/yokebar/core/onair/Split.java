package yokebar.core.onair;

import java.util.Locale;
import java.util.OptionalLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Where a station listens when its spot says that this is not where it sends: {@code up 2}, {@code dn 1-3}, {@code qsx 14028.5}. */
public final class Split {
    private static final Pattern STEP = Pattern.compile("\\b(UP|DN|DOWN)\\s*(\\d{1,2}(?:\\.\\d{1,2})?)?\\b");
    private static final Pattern AT = Pattern.compile("\\bQSX\\s*(\\d{3,6}(?:\\.\\d{1,3})?)\\b");
    private static final double USUAL_STEP_KHZ = 1;
    private static final long FARTHEST_HZ = 100_000;

    private Split() {}

    /**
     * @param frequencyHz where it sends, Hz
     * @return where to call it, Hz; empty when it listens where it sends
     */
    public static OptionalLong listensAt(long frequencyHz, String comment) {
        String text = comment.toUpperCase(Locale.ROOT);
        Matcher at = AT.matcher(text);
        if (at.find()) {
            long hertz = Math.round(Double.parseDouble(at.group(1)) * 1_000);
            return Math.abs(hertz - frequencyHz) <= FARTHEST_HZ ? OptionalLong.of(hertz) : OptionalLong.empty();
        }
        Matcher step = STEP.matcher(text);
        if (step.find()) {
            double kilohertz = step.group(2) == null ? USUAL_STEP_KHZ : Double.parseDouble(step.group(2));
            long away = Math.round(kilohertz * 1_000);
            return OptionalLong.of(step.group(1).equals("UP") ? frequencyHz + away : frequencyHz - away);
        }
        return OptionalLong.empty();
    }
}
