package yokebar.core.operate.contest.worth;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import yokebar.core.operate.contest.Outcome;
import yokebar.core.operate.contest.Score;
import yokebar.core.operate.contest.ScoreRule;
import yokebar.core.operate.contest.ScoreRule.MultiplyBy;
import yokebar.core.operate.contest.Verdict;

class ScoreRiseTest {
    private static final ScoreRule BY_SUM = new ScoreRule(MultiplyBy.SUM, Map.of("QRP", 3, "LOW", 2));
    private static final ScoreRule BY_PRODUCT = new ScoreRule(MultiplyBy.PRODUCT, Map.of());

    private static Score score(ScoreRule rule, long points, int zones, int entities, String power) {
        Map<String, Integer> multipliers = Map.of("zones", zones, "entities", entities);
        return new Score(10, 0, 0, points, multipliers, 0, rule.total(points, multipliers, power, 0), List.of());
    }

    private static Verdict brings(long points, String... multipliers) {
        return new Verdict(Outcome.COUNTS, points, List.of(multipliers), 0);
    }

    @Test
    void aNewMultiplierIsWorthWhatItMakesOfAllPoints() {
        ScoreRise rise = new ScoreRise(BY_SUM, score(BY_SUM, 100, 6, 4, "LOW"), "LOW");
        assertThat(rise.of(brings(2))).isEqualTo(2 * 10 * 2);
        assertThat(rise.of(brings(2, "zones"))).isEqualTo((102 * 11 - 100 * 10) * 2);
        assertThat(rise.of(brings(2, "zones", "entities"))).isEqualTo((102 * 12 - 100 * 10) * 2);
    }

    @Test
    void whereMultipliersAreMultipliedEachIsWorthTheOthers() {
        ScoreRise rise = new ScoreRise(BY_PRODUCT, score(BY_PRODUCT, 100, 6, 4, ""), "");
        assertThat(rise.of(brings(1, "zones"))).isEqualTo(101 * 7 * 4 - 100 * 6 * 4);
        assertThat(rise.of(brings(1, "entities"))).isEqualTo(101 * 6 * 5 - 100 * 6 * 4);
    }

    @Test
    void atTheStartPointsAreNotNothing() {
        ScoreRise rise = new ScoreRise(BY_PRODUCT, score(BY_PRODUCT, 0, 0, 0, ""), "");
        assertThat(rise.of(brings(3, "zones"))).isEqualTo(3);
        assertThat(new ScoreRise(BY_SUM, score(BY_SUM, 50, 0, 0, "QRP"), "QRP").of(brings(5)))
                .isEqualTo(5);
    }

    @Test
    void aBonusIsNotMultiplied() {
        ScoreRise rise = new ScoreRise(BY_SUM, score(BY_SUM, 100, 6, 4, "HIGH"), "HIGH");
        assertThat(rise.of(new Verdict(Outcome.COUNTS, 1, List.of(), 500))).isEqualTo(10 + 500);
    }
}
