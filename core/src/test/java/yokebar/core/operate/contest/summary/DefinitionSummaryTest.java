package yokebar.core.operate.contest.summary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.operate.contest.DefinitionReader;
import yokebar.core.operate.contest.ShippedDefinitions;

class DefinitionSummaryTest {
    private static List<String> rules(String contest) {
        String text = Objects.requireNonNull(ShippedDefinitions.texts().get(contest));
        return DefinitionSummary.of(
                Objects.requireNonNull(DefinitionReader.read(text).definition()));
    }

    @Test
    void pointsMultipliersAndScoreAreSaid() {
        assertThat(rules("lantern-weekend"))
                .containsExactly(
                        "A station counts once for each band.",
                        "0 points where the entity is the same as yours.",
                        "3 points where the continent is another than yours.",
                        "1 point otherwise.",
                        "Multiplier \"zones\": each cq zone, once for each band.",
                        "Multiplier \"entities\": each entity, once for each band.",
                        "The score is the sum of all points times the number of all multipliers.");
    }

    @Test
    void conditionsBonusesAndPowerAreSaid() {
        assertThat(rules("nine-islands-party"))
                .contains(
                        "A station counts once for each band and mode and island received.",
                        "100 points at the end for \"host station\": each call, once in the contest,"
                                + " where the call is CU9QLZ or CU9QYB.");
        assertThat(rules("field-camp"))
                .contains("The score is the sum of all points, times 5 with QRP, 2 with LOW, 1 with HIGH.");
        assertThat(rules("summit-hours")).anyMatch(rule -> rule.contains("for each km"));
        assertThat(rules("wednesday-hour"))
                .contains("A station counts once for each band, and again after 15 min.", "1 point for each contact.");
    }

    @Test
    void limitsAreSaidWithWhomTheyAreFor() {
        assertThat(rules("six-by-four"))
                .contains(
                        "At most 16 h of operating time; 30 min without a contact are a break; only for operator SINGLE-OP.",
                        "At most 8 band changes an hour; only for transmitter ONE.");
        assertThat(rules("hopscotch-sprint"))
                .contains("After 2 contacts in a row the next one is made at least 1 kHz away.");
    }

    @Test
    void everyShippedContestIsSaidInSentences() {
        assertThat(ShippedDefinitions.texts().keySet())
                .allSatisfy(contest -> assertThat(rules(contest)).allMatch(rule -> rule.endsWith(".")));
    }
}
