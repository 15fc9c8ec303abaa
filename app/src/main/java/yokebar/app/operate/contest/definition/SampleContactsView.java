package yokebar.app.operate.contest.definition;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import yokebar.core.operate.contest.Score;
import yokebar.core.operate.contest.Verdict;
import yokebar.core.operate.contest.tryout.DefinitionTryout;

/**
 * What sample contacts come to by a definition that is being written.
 *
 * @param lines in their order
 * @param points of all that count
 * @param multipliers how many of each there are, by name
 * @param bonus points that are not multiplied
 * @param score what all this comes to
 */
record SampleContactsView(
        List<TriedLineView> lines, long points, Map<String, Integer> multipliers, long bonus, long score) {

    /**
     * A line.
     *
     * @param text as written
     * @param counts whether it is a contact that counts
     * @param says what it brings, or why it counts for nothing
     */
    record TriedLineView(String text, boolean counts, String says) {}

    static SampleContactsView of(DefinitionTryout.Result result) {
        Score score = result.score();
        return new SampleContactsView(
                result.lines().stream().map(SampleContactsView::line).toList(),
                score.points(),
                score.multipliers(),
                score.bonus(),
                score.score());
    }

    private static TriedLineView line(DefinitionTryout.Tried tried) {
        Verdict verdict = tried.verdict();
        if (verdict == null) {
            return new TriedLineView(tried.text(), false, String.valueOf(tried.problem()));
        }
        String reason = verdict.outcome().reason();
        return new TriedLineView(tried.text(), reason.isEmpty(), reason.isEmpty() ? brings(verdict) : reason);
    }

    private static String brings(Verdict verdict) {
        List<String> parts = new ArrayList<>();
        parts.add(verdict.points() == 1 ? "1 point" : verdict.points() + " points");
        verdict.multipliers().forEach(name -> parts.add(name + " +1"));
        if (verdict.bonus() > 0) {
            parts.add("bonus " + verdict.bonus());
        }
        return String.join(" \u00b7 ", parts);
    }
}
