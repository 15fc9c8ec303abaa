package yokebar.app.operate.contest;

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
record WorthView(boolean counts, boolean dupe, String reason, long points, List<String> multipliers, long bonus) {

    static WorthView of(Verdict verdict) {
        return new WorthView(
                verdict.outcome() == Outcome.COUNTS,
                verdict.outcome() == Outcome.DUPE,
                reason(verdict.outcome()),
                verdict.points(),
                verdict.multipliers(),
                verdict.bonus());
    }

    private static String reason(Outcome outcome) {
        return switch (outcome) {
            case COUNTS -> "";
            case DUPE -> "worked before";
            case OUTSIDE_PERIODS -> "outside the times of the contest";
            case OTHER_BAND -> "not on a band of the contest";
            case OTHER_MODE -> "not in a mode of the contest";
            case NO_EXCHANGE -> "no exchange received";
            case NOT_COUNTED -> "these stations do not work each other";
        };
    }
}
