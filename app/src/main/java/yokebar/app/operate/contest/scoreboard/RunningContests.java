package yokebar.app.operate.contest.scoreboard;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import yokebar.core.operate.contest.Score;

/** The books of which scores are posted. */
public interface RunningContests {
    /** Those whose contest has begun and was not over long ago. */
    List<RunningContest> running(Instant now);

    /**
     * A book as the scoreboard sees it.
     *
     * @param contest as in the Cabrillo log
     * @param call own call
     * @param club empty for none
     * @param category choices by the name of the category
     */
    record RunningContest(
            long bookId, String contest, String call, String club, Map<String, String> category, Score score) {}
}
