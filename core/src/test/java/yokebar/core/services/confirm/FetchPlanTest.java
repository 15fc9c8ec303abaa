package yokebar.core.services.confirm;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import yokebar.core.services.confirm.FetchPlan.Progress;
import yokebar.core.services.confirm.FetchPlan.Window;

class FetchPlanTest {
    private static final Instant BEGINNING = Instant.parse("2014-03-01T00:00:00Z");
    private static final Instant START = Instant.parse("2024-06-01T00:00:00Z");

    /** A confirmation as the service has it: when it says it received it, and from when on it shows it. */
    private record Shown(Instant receivedAt, Instant from) {}

    /** What a service would answer, and what was seen of it. */
    private static final class Run {
        private final List<Shown> service = new ArrayList<>();
        private final Map<Shown, Instant> seen = new HashMap<>();
        private Progress progress = Progress.NONE;
        private Duration longest = Duration.ZERO;

        void fetchAll(Instant now) {
            Window window;
            do {
                window = FetchPlan.news(progress, BEGINNING, now);
                fetch(window, now);
            } while (window.until().isBefore(now));
            FetchPlan.sweep(progress, BEGINNING, now).ifPresent(step -> fetch(step, now));
        }

        private void fetch(Window window, Instant now) {
            Duration length = Duration.between(window.since(), window.until());
            longest = length.compareTo(longest) > 0 ? length : longest;
            service.stream()
                    .filter(shown -> !shown.from().isAfter(now)
                            && !shown.receivedAt().isBefore(window.since())
                            && shown.receivedAt().isBefore(window.until()))
                    .forEach(shown -> seen.putIfAbsent(shown, now));
            progress = FetchPlan.done(progress, window, now);
        }
    }

    @Test
    void whenTheLogBeginsEarlierThePastIsAskedForWithoutGaps() {
        Window news = FetchPlan.news(Progress.NONE, START, START.plus(Duration.ofDays(1)));
        Progress progress = FetchPlan.done(Progress.NONE, news, news.until());
        assertThat(FetchPlan.earlier(progress, START)).isEmpty();
        // Stored with milliseconds, a moment may come back a little later than it was.
        assertThat(FetchPlan.earlier(progress, START.minusNanos(400_000))).isEmpty();
        Instant covered = START.minus(FetchPlan.OVERLAP);
        for (Window window = FetchPlan.earlier(progress, BEGINNING).orElse(null);
                window != null;
                window = FetchPlan.earlier(progress, BEGINNING).orElse(null)) {
            assertThat(window.until()).isEqualTo(progress.newsFrom());
            assertThat(Duration.between(window.since(), window.until())).isLessThanOrEqualTo(FetchPlan.LONGEST_WINDOW);
            progress = FetchPlan.done(progress, window, news.until());
            assertThat(window.since()).isBefore(covered);
            covered = window.since();
        }
        assertThat(covered).isEqualTo(BEGINNING);
        assertThat(progress.newsUntil()).isEqualTo(news.until());
    }

    /** Two years, a fetch every half hour except in pauses of up to nine days, with confirmations that appear any time late. */
    @Property(tries = 5)
    void whateverAppearsIsSeenHoweverLate(@ForAll long seed) {
        Random random = new Random(seed);
        Run run = new Run();
        Instant end = START.plus(Duration.ofDays(730));
        for (int i = 0; i < 400; i++) {
            Instant from = BEGINNING.plusSeconds((long) (random.nextDouble() * 350_000_000));
            Duration late = Duration.ofSeconds((long) (Math.pow(random.nextDouble(), 8) * 300_000_000));
            Instant received = from.minus(late);
            run.service.add(new Shown(received.isBefore(BEGINNING) ? BEGINNING : received, from));
        }
        Instant now = START;
        while (now.isBefore(end)) {
            run.fetchAll(now);
            boolean away = random.nextInt(2000) == 0;
            now = now.plus(away ? Duration.ofHours(random.nextInt(216)) : Duration.ofMinutes(30));
        }
        Duration round = FetchPlan.SWEEP_EVERY.multipliedBy(
                Duration.between(BEGINNING, end).dividedBy(FetchPlan.SWEEP_WINDOW) + 2);
        for (Shown shown : run.service) {
            Instant visible = shown.from().isBefore(START) ? START : shown.from();
            if (visible.isBefore(end.minus(round.multipliedBy(2)))) {
                assertThat(run.seen).as(shown.toString()).containsKey(shown);
                assertThat(Duration.between(visible, run.seen.get(shown)))
                        .isLessThan(round.multipliedBy(2).plus(Duration.ofDays(18)));
            }
        }
        assertThat(run.longest).isLessThanOrEqualTo(FetchPlan.LONGEST_WINDOW);
    }

    @Test
    void theFirstFetchGoesThroughThePastInBoundedSteps() {
        Progress progress = Progress.NONE;
        Instant reached = BEGINNING;
        int steps = 0;
        while (reached.isBefore(START)) {
            Window window = FetchPlan.news(progress, BEGINNING, START);
            assertThat(window.since()).isBeforeOrEqualTo(reached);
            reached = window.until();
            progress = FetchPlan.done(progress, window, START);
            steps++;
        }
        assertThat(steps).isEqualTo(11);
        assertThat(FetchPlan.sweep(Progress.NONE, BEGINNING, START)).isEmpty();
    }

    @Test
    void aClockSetBackLeavesNoGap() {
        Progress ahead = new Progress(BEGINNING, START.plus(Duration.ofDays(3)), START, START.plus(Duration.ofDays(3)));
        Window window = FetchPlan.news(ahead, BEGINNING, START);
        assertThat(window.since()).isEqualTo(START.minus(FetchPlan.OVERLAP));
        assertThat(window.until()).isEqualTo(START);
        assertThat(FetchPlan.sweep(ahead, BEGINNING, START)).isPresent();
    }
}
