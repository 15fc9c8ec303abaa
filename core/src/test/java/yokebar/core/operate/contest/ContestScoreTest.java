package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.entity.Entities;
import yokebar.core.log.contact.Contact;

class ContestScoreTest {
    private static final ContestDefinition PREFIXES = Objects.requireNonNull(DefinitionReader.read(
                    Objects.requireNonNull(ShippedDefinitions.texts().get("prefix-harvest")))
            .definition());

    private final ContactFacts facts = new ContactFacts(PREFIXES, Entities.shipped());
    private final ContestScore score = new ContestScore(PREFIXES, Map.of(Fact.CONTINENT, "EU"), Map.of());

    private ContestContact contact(long id, String at, String... received) {
        MadeContact made = new MadeContact(
                id, Instant.parse("2027-03-13T" + at + "Z"), "W1QAA", Band.M20, 14_200_000, "SSB", List.of(received));
        return facts.of(id, made.logged());
    }

    @Test
    void whatWouldBeLeavesNothingBehind() {
        score.put(contact(1, "13:00:00", "59", "7"));
        Score before = score.score();
        assertThat(score.wouldBe(contact(9, "12:30:00", "59", "8")).multipliers())
                .containsExactly("prefixes");
        assertThat(score.wouldBe(contact(9, "13:30:00", "59", "8")).outcome()).isEqualTo(Outcome.DUPE);
        assertThat(score.score()).isEqualTo(before);
        assertThatThrownBy(() -> score.wouldBe(contact(1, "13:00:00", "59", "7")))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatAContactIsWorthInTheWholeIsWhatIsLostWithoutIt() {
        score.put(contact(1, "13:00:00", "59", "7"));
        Score before = score.score();
        assertThat(score.lossWithout(1)).isEqualTo(before.score());
        assertThat(score.score()).isEqualTo(before);
        score.put(contact(2, "13:05:00", "59", "8"));
        assertThat(score.lossWithout(1)).as("the dupe counts in its place").isZero();
        assertThat(score.lossWithout(2)).isZero();
        assertThat(score.lossWithout(77)).isZero();
    }

    @Test
    void aContactIsWorthSomethingBeforeItsExchangeIsThereAndCountsOnlyWithIt() {
        assertThat(score.wouldBe(contact(9, "13:00:00", "59")).outcome()).isEqualTo(Outcome.COUNTS);
        score.put(contact(1, "13:00:00", "59"));
        assertThat(Objects.requireNonNull(score.verdict(1)).outcome()).isEqualTo(Outcome.NO_EXCHANGE);
        assertThat(score.score().others()).isEqualTo(1);
    }

    @Test
    void stationsOfWhichNoneIsOnTheIslandsDoNotWorkEachOther() {
        ContestDefinition calling = Objects.requireNonNull(DefinitionReader.read(
                        Objects.requireNonNull(ShippedDefinitions.texts().get("corvo-calling")))
                .definition());
        ContactFacts seen = new ContactFacts(calling, Entities.shipped());
        ContestScore outside = new ContestScore(calling, Map.of(Fact.ENTITY, "230"), Map.of());
        outside.put(seen.of(1, made(1, "W1QAA", "59", "7")));
        outside.put(seen.of(2, made(2, "CU2QAA", "59", "COR", "8")));
        assertThat(Objects.requireNonNull(outside.verdict(1)).outcome()).isEqualTo(Outcome.NOT_COUNTED);
        assertThat(Objects.requireNonNull(outside.verdict(2)).multipliers()).containsExactly("islands");
    }

    private static Contact made(long id, String call, String... received) {
        Instant at = Instant.parse("2027-01-16T19:00:00Z");
        return new MadeContact(id, at, call, Band.M20, 14_200_000, "SSB", List.of(received)).logged();
    }

    @Test
    void anEarlierContactThatComesLateTakesTheMultiplier() {
        score.put(contact(1, "13:00:00", "59", "7"));
        score.put(contact(2, "12:30:00", "59", "8"));
        assertThat(Objects.requireNonNull(score.verdict(1)).outcome()).isEqualTo(Outcome.DUPE);
        assertThat(Objects.requireNonNull(score.verdict(2)).multipliers()).containsExactly("prefixes");
        score.remove(2);
        assertThat(Objects.requireNonNull(score.verdict(1)).multipliers()).containsExactly("prefixes");
        assertThat(score.verdict(2)).isNull();
    }
}
