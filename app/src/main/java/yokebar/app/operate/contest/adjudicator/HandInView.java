package yokebar.app.operate.contest.adjudicator;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What became of the log of a book at the adjudicator.
 *
 * @param takenAt when it was handed in and taken, UTC; null when it was not yet
 * @param receipt under which the adjudicator knows it; null likewise
 * @param words what the adjudicator said of it, or why its report is not shown; empty for nothing
 * @param claimed the score that stood in it
 * @param changedSince whether the book says something else now
 * @param askAt when the report is asked for, UTC; null when nobody asks, as it is there, or too long ago
 * @param checkedScore what the log has come to after the check; null before
 * @param findings what the check found, at most 200
 * @param moreFindings how many more there are
 * @param refusedAt when the last log was refused, UTC; null when it was taken
 * @param refusal why; null likewise
 * @param refusedLines what is wrong where, at most 200
 */
record HandInView(
        @Nullable Instant takenAt,
        @Nullable String receipt,
        String words,
        long claimed,
        boolean changedSince,
        @Nullable Instant askAt,
        @Nullable Long checkedScore,
        List<Remark> findings,
        int moreFindings,
        @Nullable Instant refusedAt,
        @Nullable String refusal,
        List<Remark> refusedLines) {

    /**
     * What the adjudicator says of a line.
     *
     * @param line of the log as it was handed in, from 1
     * @param contactId of the contact of that line; null when there is none, or not any more
     * @param start when the contact began, UTC; null likewise
     * @param call of the other station, as the log has it now; empty likewise
     * @param band such as {@code 20m}; empty likewise
     * @param sentence what is wrong
     * @param rightCall the call that should stand there; null when none is named, or the contact has it already
     * @param pointsLost 0 or more
     */
    record Remark(
            int line,
            @Nullable Long contactId,
            @Nullable Instant start,
            String call,
            String band,
            String sentence,
            @Nullable String rightCall,
            long pointsLost) {}
}
