package yokebar.core.log;

import java.util.List;

/** Something a contact fulfils or not. Fields are named by their ADIF names, and a few of our own: see {@link LogFields}. */
public sealed interface Condition {

    /** Found anywhere an operator reads: call, name, place, entity, locator, comment. */
    record Anywhere(String word) implements Condition {}

    /**
     * The field is like one of these.
     *
     * @param patterns any case; {@code *} stands for any characters
     */
    record Like(String field, List<String> patterns) implements Condition {}

    /** The field holds a number within the range, ends included. */
    record Within(String field, double least, double most) implements Condition {}

    /** Started in this span, epoch seconds; the end is not included. */
    record Started(long fromSecond, long untilSecond) implements Condition {}

    /** On a frequency in this range, Hz, ends included. */
    record OnFrequency(long leastHz, long mostHz) implements Condition {}

    record Absent(String field) implements Condition {}

    /** At least one of them holds. */
    record Either(List<Condition> conditions) implements Condition {}

    record Not(Condition condition) implements Condition {}
}
