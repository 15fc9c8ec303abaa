package yokebar.app.operate.contest.line;

import java.util.List;
import yokebar.core.operate.contest.Outcome;
import yokebar.core.operate.contest.Verdict;

/**
 * What a contact brings in a contest.
 *
 * @param counts whether it counts
 * @param dupe whether the station was worked before, where the rules count it only once
 * @param reason why it does not count, in words; empty when it does
 * @param points for the contact
 * @param multipliers names of the multipliers it is the first to bring
 * @param bonus points that are not multiplied
 */
public record WorthView(
        boolean counts, boolean dupe, String reason, long points, List<String> multipliers, long bonus) {

    public static WorthView of(Verdict verdict) {
        return new WorthView(
                verdict.outcome() == Outcome.COUNTS,
                verdict.outcome() == Outcome.DUPE,
                verdict.outcome().reason(),
                verdict.points(),
                verdict.multipliers(),
                verdict.bonus());
    }
}
