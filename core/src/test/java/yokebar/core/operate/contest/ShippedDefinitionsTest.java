package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.operate.contest.limit.Limit;

/** Each shipped contest, scored by the engine and by a scorer that knows nothing of definitions. */
class ShippedDefinitionsTest {
    private static final int CONTACTS = 2_000;
    private static final Map<String, String> CATEGORY =
            Map.of("power", "QRP", "operator", "SINGLE-OP", "transmitter", "ONE");

    private final Random random = new Random(11);

    static Stream<String> contests() {
        return ShippedDefinitions.texts().keySet().stream();
    }

    private static ContestDefinition definition(String contest) {
        DefinitionReader.Result result = DefinitionReader.read(
                Objects.requireNonNull(ShippedDefinitions.texts().get(contest)));
        assertThat(result.problems()).isEmpty();
        return Objects.requireNonNull(result.definition());
    }

    @ParameterizedTest
    @MethodSource("contests")
    void engineAndPlainScorerAgreeInAnyOrderAfterEditsAndUndos(String contest) {
        ContestDefinition definition = definition(contest);
        PlainScorer plain = PlainScorer.of(contest);
        ContactFacts facts = new ContactFacts(definition, Entities.shipped());
        Map<Fact, String> own =
                facts.own(new Call(MadeContact.OWN_CALL), definition.from(), MadeContact.OWN_LOCATOR, Map.of());
        List<MadeContact> log = new ArrayList<>();
        for (int id = 1; id <= CONTACTS; id++) {
            log.add(made(plain, definition, id));
        }
        PlainScorer.Result expected = plain.score(log);
        assertThat(expected.score()).isPositive();
        assertThat(expected.dupes()).isPositive();

        ContestScore inOrder = new ContestScore(definition, own, CATEGORY);
        log.forEach(contact -> inOrder.put(facts.of(contact.id(), contact.logged())));
        assertThat(plain(inOrder.score())).isEqualTo(expected);

        assertThat(log)
                .extracting(contact -> verdict(inOrder, contact).outcome())
                .containsAll(broken(definition));

        List<MadeContact> shuffled = new ArrayList<>(log);
        Collections.shuffle(shuffled, random);
        ContestScore score = new ContestScore(definition, own, CATEGORY);
        shuffled.forEach(contact -> score.put(facts.of(contact.id(), contact.logged())));
        assertThat(score.score()).isEqualTo(inOrder.score());

        // Each is taken out or becomes another contact, and half of that is undone.
        List<MadeContact> edited = new ArrayList<>(log);
        for (int i = 0; i < CONTACTS; i += 3) {
            MadeContact before = log.get(i);
            MadeContact after = made(plain, definition, before.id());
            if (random.nextBoolean()) {
                score.remove(before.id());
                edited.set(i, null);
            } else {
                score.put(facts.of(after.id(), after.logged()));
                edited.set(i, after);
            }
            if (random.nextBoolean()) {
                score.put(facts.of(before.id(), before.logged()));
                edited.set(i, before);
            }
        }
        edited.removeIf(Objects::isNull);
        assertThat(plain(score.score())).isEqualTo(plain.score(edited));

        long points = edited.stream()
                .map(contact -> verdict(score, contact))
                .mapToLong(Verdict::points)
                .sum();
        assertThat(points).as("points of all verdicts").isEqualTo(score.score().points());
    }

    /** What some of the contacts have to come to, for the limits to be tried at all. */
    private static List<Outcome> broken(ContestDefinition definition) {
        return definition.limits().stream()
                .map(limit -> limit instanceof Limit.OperatingTime
                        ? Outcome.OVER_TIME
                        : limit instanceof Limit.Moving ? Outcome.NOT_MOVED : Outcome.BAND_CHANGED)
                .toList();
    }

    private static Verdict verdict(ContestScore score, MadeContact contact) {
        return Objects.requireNonNull(score.verdict(contact.id()));
    }

    private MadeContact made(PlainScorer plain, ContestDefinition definition, long id) {
        return MadeContact.random(random, id, definition.from(), definition.until(), plain.bands, plain.answer);
    }

    private static PlainScorer.Result plain(Score score) {
        return new PlainScorer.Result(
                score.contacts(), score.dupes(), score.points(), score.multipliers(), score.bonus(), score.score());
    }
}
