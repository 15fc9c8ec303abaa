package yokebar.core.log.index;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A time of day as written in a search, UTC: an hour, a minute, or a span of them that may go over midnight.
 *
 * @param fromMinute of the day, from 0
 * @param untilMinute not included; 1 to 1440
 */
record TimeOfDay(int fromMinute, int untilMinute) {
    private static final Pattern TIME = Pattern.compile("(\\d{1,2})(?::?(\\d{2}))?[zZ]?");
    private static final Pattern BOUND = Pattern.compile("(>=|<=|>|<)(.+)");
    private static final int MINUTES_AN_HOUR = 60;
    private static final int MINUTES_A_DAY = 1440;
    private static final int LAST_HOUR = 23;

    /** {@code 14}, {@code 14:07}, {@code 1407}; null when it is none of these. */
    static @Nullable TimeOfDay read(String text) {
        Matcher time = TIME.matcher(text);
        if (!time.matches()) {
            return null;
        }
        int hour = Integer.parseInt(time.group(1));
        int minute = time.group(2) == null ? 0 : Integer.parseInt(time.group(2));
        if (hour > LAST_HOUR || minute >= MINUTES_AN_HOUR) {
            return null;
        }
        int from = hour * MINUTES_AN_HOUR + minute;
        return new TimeOfDay(from, from + (time.group(2) == null ? MINUTES_AN_HOUR : 1));
    }

    /** A time, two with {@code ..} between them, or one behind a sign such as {@code >=}; null when it is none of these. */
    static Condition.@Nullable AtTime condition(String text) {
        int dots = text.indexOf("..");
        if (dots >= 0) {
            return span(text.substring(0, dots), text.substring(dots + 2));
        }
        Matcher bound = BOUND.matcher(text);
        TimeOfDay time = read(bound.matches() ? bound.group(2) : text);
        if (time == null) {
            return null;
        }
        if (!bound.matches()) {
            return new Condition.AtTime(time.fromMinute, time.untilMinute);
        }
        return switch (bound.group(1)) {
            case ">" -> new Condition.AtTime(time.untilMinute, MINUTES_A_DAY);
            case ">=" -> new Condition.AtTime(time.fromMinute, MINUTES_A_DAY);
            case "<" -> new Condition.AtTime(0, time.fromMinute);
            default -> new Condition.AtTime(0, time.untilMinute);
        };
    }

    /** The later end counts whole: {@code 14..16} is from 14:00 to the end of 16:59. */
    private static Condition.@Nullable AtTime span(String first, String last) {
        TimeOfDay from = first.isEmpty() ? new TimeOfDay(0, 1) : read(first);
        TimeOfDay until = last.isEmpty() ? new TimeOfDay(0, MINUTES_A_DAY) : read(last);
        boolean open = first.isEmpty() && last.isEmpty();
        return from == null || until == null || open ? null : new Condition.AtTime(from.fromMinute, until.untilMinute);
    }
}
