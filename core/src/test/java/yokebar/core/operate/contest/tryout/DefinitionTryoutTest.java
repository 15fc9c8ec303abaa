package yokebar.core.operate.contest.tryout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.DefinitionReader;
import yokebar.core.operate.contest.Outcome;
import yokebar.core.operate.contest.ShippedDefinitions;

class DefinitionTryoutTest {
    private static DefinitionTryout.Result tried(String contest, String... lines) {
        ContestDefinition definition = Objects.requireNonNull(DefinitionReader.read(
                        Objects.requireNonNull(ShippedDefinitions.texts().get(contest)))
                .definition());
        return DefinitionTryout.of(definition, Entities.shipped(), new Call("CU9QYB"), null, List.of(lines));
    }

    @Test
    void eachLineIsWorthWhatTheRulesSay() {
        DefinitionTryout.Result result = tried(
                "lantern-weekend", "20m CW W1QAB 599 5", "", "14025 cw dl1qaa 14", "20m CW W1QAB 5", "17m CW W2QAB 5");
        assertThat(result.lines())
                .extracting(line -> Objects.requireNonNull(line.verdict()).outcome())
                .containsExactly(Outcome.COUNTS, Outcome.COUNTS, Outcome.DUPE, Outcome.OTHER_BAND);
        assertThat(Objects.requireNonNull(result.lines().get(0).verdict()).multipliers())
                .containsExactly("zones", "entities");
        assertThat(result.score().score())
                .as("4 points times 2 zones and 2 entities")
                .isEqualTo(16);
    }

    @Test
    void whatIsNoContactIsSaidAndTheRestIsCounted() {
        DefinitionTryout.Result result = tried(
                "wednesday-hour",
                "W1QAB",
                "7m CW W1QAB ana 1",
                "40m morse W1QAB ana 1",
                "40m CW ana 1",
                "40m CW W1QAB ana",
                "40m CW W1QAB ana 1 @@",
                "40m CW W1QAB ana 1");
        assertThat(result.lines().stream().map(line -> String.valueOf(line.problem())))
                .satisfiesExactly(
                        text -> assertThat(text).startsWith("Write the band or the frequency"),
                        text -> assertThat(text).startsWith("\"7m\" is neither a band nor a frequency on one."),
                        text -> assertThat(text).isEqualTo("\"morse\" is not a mode, such as CW or SSB."),
                        text -> assertThat(text).isEqualTo("There is no call in \"ana 1\"."),
                        text -> assertThat(text).isEqualTo("Still missing: serial."),
                        text -> assertThat(text).isEqualTo("\"@@\" fits no part of the exchange."),
                        text -> assertThat(text).isEqualTo("null"));
        assertThat(result.score().contacts()).isEqualTo(1);
    }
}
