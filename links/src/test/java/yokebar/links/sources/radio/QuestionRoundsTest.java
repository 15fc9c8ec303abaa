package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class QuestionRoundsTest {
    private static final long EVERY = Duration.ofMillis(100).toNanos();
    private static final long ANSWER = Duration.ofMillis(2).toNanos();
    private static final long MINUTE = Duration.ofMinutes(1).toNanos();

    private final QuestionRounds rounds = new QuestionRounds(
            List.of(question("frequency"), question("mode")), List.of(question("power"), question("width")), EVERY);

    private static Question question(String key) {
        return new Question(key, key.getBytes(java.nio.charset.StandardCharsets.US_ASCII), null, null);
    }

    /** Asks for a minute as the link does: at once while something is due, else after the rest it is told. */
    private Map<String, Integer> askForAMinute(List<Integer> bundles) {
        Map<String, Integer> asked = new HashMap<>();
        long begin = System.nanoTime();
        int bundle = 0;
        for (long now = begin; now - begin < MINUTE; ) {
            Question question = rounds.next(now, now, false);
            if (question == null) {
                bundles.add(bundle);
                bundle = 0;
                now += Math.max(1_000_000, rounds.untilNext(now));
            } else {
                asked.merge(question.key(), 1, Integer::sum);
                rounds.answered(question.key(), true);
                bundle++;
                now += ANSWER;
            }
        }
        return asked;
    }

    @Test
    void whatIsDueAtAboutTheSameTimeIsAskedTogether() {
        List<Integer> bundles = new ArrayList<>();
        askForAMinute(bundles);
        assertThat(bundles.stream().filter(size -> size == 1)).hasSizeLessThan(bundles.size() / 20);
        assertThat(bundles.stream().mapToInt(Integer::intValue).average().orElse(0))
                .isGreaterThan(1.9);
    }

    @Test
    void andNotMoreOftenForThat() {
        Map<String, Integer> asked = askForAMinute(new ArrayList<>());
        assertThat(asked.get("frequency")).isBetween(570, 601);
        assertThat(asked.get("mode")).isBetween(570, 601);
        assertThat(asked.get("power")).isBetween(54, 61);
        assertThat(asked.get("width")).isBetween(54, 61);
    }
}
