package yokebar.core.log.index;

import java.util.List;

/** Something a contact fulfils or not. Fields are named by their ADIF names, and a few of our own: see {@link LogFields}. */
public sealed interface Condition {
    /** What no contact fulfils: stands for a word that cannot be understood, so that it never finds more than was meant. */
    Condition NOTHING = new Either(List.of());

    /** Found anywhere an operator reads: call, name, place, entity, locator, comment. */
    record Anywhere(String word) implements Condition {}

    /**
     * The field is like one of these.
     *
     * @param patterns any case; {@code *} stands for any characters
     */
    record Like(String field, List<String> patterns) implements Condition {}

    /** The field holds a number within the range, ends included. */
    record Within(String field, double least, double max) implements Condition {}

    /** Started in this span, epoch seconds; the end is not included. */
    record Started(long fromSecond, long untilSecond) implements Condition {}

    /**
     * Started at this time of the day, UTC.
     *
     * @param fromMinute of the day
     * @param untilMinute not included; before {@code fromMinute} when the span goes over midnight
     */
    record AtTime(int fromMinute, int untilMinute) implements Condition {
        private static final int SECONDS_A_MINUTE = 60;
        private static final int SECONDS_A_DAY = 86_400;

        boolean holds(long epochSecond) {
            int minute = Math.floorMod(epochSecond, SECONDS_A_DAY) / SECONDS_A_MINUTE;
            return fromMinute <= untilMinute
                    ? minute >= fromMinute && minute < untilMinute
                    : minute >= fromMinute || minute < untilMinute;
        }
    }

    /** On a frequency in this range, Hz, ends included. */
    record OnFrequency(long minHz, long maxHz) implements Condition {}

    record Absent(String field) implements Condition {}

    /** At least one of them holds. */
    record Either(List<Condition> conditions) implements Condition {}

    record Not(Condition condition) implements Condition {}
}
