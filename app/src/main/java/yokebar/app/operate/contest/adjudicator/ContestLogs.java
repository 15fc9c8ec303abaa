package yokebar.app.operate.contest.adjudicator;

import java.util.List;
import yokebar.app.platform.rejection.Rejection;

/** The logs of contest books, as they are handed in. */
public interface ContestLogs {
    /** @throws Rejection when there is no such book */
    void mustExist(long bookId);

    /** @throws Rejection when there is no such book */
    WrittenLog written(long bookId);

    /**
     * A log as the adjudicator takes it.
     *
     * @param text as Cabrillo 3.0
     * @param contactIds of the contacts of its lines {@code QSO:}, in their order
     * @param claimed the score that stands in it
     */
    record WrittenLog(String text, List<Long> contactIds, long claimed) {}
}
