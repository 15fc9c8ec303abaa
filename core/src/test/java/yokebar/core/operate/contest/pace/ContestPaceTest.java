package yokebar.core.operate.contest.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.operate.contest.ContestScore;
import yokebar.core.operate.contest.DefinitionReader;
import yokebar.core.operate.contest.Fact;

class ContestPaceTest {
    private static final ContestDefinition RULES = Objects.requireNonNull(DefinitionReader.read(
                    """
                    name: Harbour Hours
                    cabrillo name: HARBOUR-HOURS
                    periods:
                      - {from: 2027-01-02T12:00Z, until: 2027-01-02T18:00Z}
                    bands: 20m
                    modes: CW
                    exchange:
                      - {name: zone, kind: cq zone}
                    points:
                      - {points: 2}
                    multipliers:
                      - {name: zones, of: exchange.zone}
                    """)
            .definition());
    private final ContestScore score = new ContestScore(RULES, Map.of(), Map.of());

    private static Instant at(String time) {
        return Instant.parse("2027-01-02T" + time + ":00Z");
    }

    private ContestPaceTest worked(String time, String call, String zone) {
        long id = score.inOrder().size() + 1L;
        Map<Fact, String> facts = Map.of(Fact.exchange("zone"), zone);
        score.put(new ContestContact(id, at(time), new Call(call), Band.M20, null, ContestMode.CW, facts));
        return this;
    }

    private ContestPace pace(String now) {
        return ContestPace.of(RULES, score.inOrder(), "", at(now));
    }

    @Test
    void eachHourHasItsContactsAndTheScoreAtItsEnd() {
        worked("12:10", "DL1QAA", "14").worked("12:50", "W1QAA", "5").worked("14:05", "W2QAA", "5");
        worked("14:06", "W2QAA", "5").worked("11:00", "W3QAA", "5");
        assertThat(pace("15:00").hours())
                .containsExactly(
                        new ContestPace.Hour(at("12:00"), 2, 4, 2, 8), new ContestPace.Hour(at("14:00"), 1, 2, 0, 12));
        assertThat(score.score().score()).isEqualTo(12);
    }

    @Test
    void multipliersAreInTheOrderOfTheirNumbers() {
        worked("12:10", "DL1QAA", "14").worked("12:50", "W1QAA", "5").worked("14:05", "W2QAA", "5");
        assertThat(MultiplierTable.of(RULES, score.inOrder())).singleElement().satisfies(zones -> assertThat(
                        zones.bands())
                .containsExactly(Map.entry("5", EnumSet.of(Band.M20)), Map.entry("14", EnumSet.of(Band.M20))));
    }

    @Test
    void aBreakIsNoOperatingTime() {
        worked("12:10", "DL1QAA", "14").worked("12:39", "W1QAA", "5").worked("13:10", "W2QAA", "5");
        worked("13:15", "W2QAA", "5");
        assertThat(pace("15:00").spent().operating())
                .as("29 minutes, a break, 5 to a dupe")
                .isEqualTo(Duration.ofMinutes(34));
    }

    @Test
    void ratesAreContactsInAnHour() {
        for (int i = 10; i < 22; i++) {
            worked("13:" + i, "DL" + i + "QA" + (char) ('A' + i), "14");
        }
        ContestPace pace = pace("13:25");
        assertThat(pace.last10Minutes()).as("13:16 to 13:21").isEqualTo(36);
        assertThat(pace.last60Minutes()).isEqualTo(12);
        assertThat(pace.last10Contacts()).as("10 since 13:12").isEqualTo(46);
        assertThat(pace.last100Contacts()).isNull();
        assertThat(pace("20:00").last60Minutes())
                .as("the last hour of the contest")
                .isZero();
    }
}
