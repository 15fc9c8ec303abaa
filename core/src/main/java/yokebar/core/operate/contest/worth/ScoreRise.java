package yokebar.core.operate.contest.worth;

import java.util.LinkedHashMap;
import java.util.Map;
import yokebar.core.operate.contest.Score;
import yokebar.core.operate.contest.ScoreRule;
import yokebar.core.operate.contest.Verdict;

/** By how much a score would rise with one contact more: its points, and what a new multiplier makes of all others. */
public final class ScoreRise {
    private final ScoreRule rule;
    private final Score now;
    private final String power;

    /**
     * @param now the score before the contact
     * @param power the class that counts, such as {@code LOW}; empty where power does not count
     */
    public ScoreRise(ScoreRule rule, Score now, String power) {
        this.rule = rule;
        this.now = now;
        this.power = power;
    }

    /** At least its own points: at the start of a contest, while there is nothing to multiply, they are not nothing. */
    public long of(Verdict verdict) {
        Map<String, Integer> multipliers = new LinkedHashMap<>(now.multipliers());
        verdict.multipliers().forEach(name -> multipliers.merge(name, 1, Integer::sum));
        long then = rule.total(now.points() + verdict.points(), multipliers, power, now.bonus() + verdict.bonus());
        return Math.max(then - now.score(), verdict.points() + verdict.bonus());
    }
}
