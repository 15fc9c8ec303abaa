package yokebar.core.services.confirm;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Which confirmations to ask for next, so that none is ever missed. Everything goes by the time the service received them, not
 * by the contacts' own dates: a contact of ten years ago may be confirmed today.
 *
 * <p>News: each fetch goes on a little before the end of the last complete one. When older contacts came into the log, what lies
 * before the first fetch is asked for, too. A service that shows a confirmation only long
 * after it received it would still slip through, so besides this a slow sweep asks for a month of the past at a time, from the
 * beginning to the present and over again.
 */
public final class FetchPlan {
    /** Clocks differ and services store late: fetches of news overlap by this much. */
    public static final Duration OVERLAP = Duration.ofHours(1);

    /** No answer grows without bounds: at most so much received time at once. */
    public static final Duration LONGEST_WINDOW = Duration.ofDays(366);

    /** How much of the past the sweep asks for at a time. */
    public static final Duration SWEEP_WINDOW = Duration.ofDays(30);

    /** How often the sweep takes a step; ten years of the past come round about every twenty days. */
    public static final Duration SWEEP_EVERY = Duration.ofHours(4);

    private FetchPlan() {}

    /** What a window is for. */
    public enum Purpose {
        NEWS,
        /** What was received before the first fetch, because the log begins earlier now. */
        EARLIER,
        SWEEP
    }

    /**
     * A stretch of received time to ask for.
     *
     * @param since inclusive, UTC
     * @param until exclusive, UTC
     */
    public record Window(Purpose purpose, Instant since, Instant until) {}

    /**
     * How far it has come.
     *
     * @param newsFrom where the first fetch began; null at the beginning
     * @param newsUntil all the service received from there until then was asked for at least once; null at the beginning
     * @param sweptUntil where the sweep goes on; null at the beginning of a round
     * @param sweptAt when the sweep took its last step; null when it has not begun
     */
    public record Progress(
            @Nullable Instant newsFrom,
            @Nullable Instant newsUntil,
            @Nullable Instant sweptUntil,
            @Nullable Instant sweptAt) {
        public static final Progress NONE = new Progress(null, null, null, null);
    }

    /**
     * What to ask for next. Until the present is reached it is asked again at once; {@code done} tells what then.
     *
     * @param beginning no confirmation was received before it, UTC
     * @param now the present, UTC
     */
    public static Window news(Progress progress, Instant beginning, Instant now) {
        Instant reached = progress.newsUntil();
        // A clock that was set back must not leave out what came meanwhile.
        Instant since = reached == null ? beginning : min(reached, now).minus(OVERLAP);
        since = max(since, beginning.minus(OVERLAP));
        return new Window(Purpose.NEWS, since, min(since.plus(LONGEST_WINDOW), now));
    }

    /**
     * What to ask for because the log begins earlier than it did, the latest part first; empty when less than an hour of it is
     * left, so that moments which are stored a little rounded never lead to asking again and again.
     *
     * @param beginning no confirmation was received before it, UTC
     */
    public static Optional<Window> earlier(Progress progress, Instant beginning) {
        Instant from = progress.newsFrom();
        return from == null || !beginning.isBefore(from.minus(OVERLAP))
                ? Optional.empty()
                : Optional.of(new Window(Purpose.EARLIER, max(beginning, from.minus(LONGEST_WINDOW)), from));
    }

    /** The next step of the sweep, or empty when it is not time for one. */
    public static Optional<Window> sweep(Progress progress, Instant beginning, Instant now) {
        Instant last = progress.sweptAt();
        boolean clockWentBack = last != null && last.isAfter(now);
        if (progress.newsUntil() == null
                || last != null && !clockWentBack && last.plus(SWEEP_EVERY).isAfter(now)) {
            return Optional.empty();
        }
        Instant swept = progress.sweptUntil();
        Instant since = swept == null || !swept.isBefore(now) ? beginning : swept;
        return Optional.of(new Window(Purpose.SWEEP, since, min(since.plus(SWEEP_WINDOW), max(since, now))));
    }

    /** The progress once a window was fetched to its end. */
    public static Progress done(Progress progress, Window window, Instant now) {
        return switch (window.purpose()) {
            case NEWS ->
                new Progress(
                        progress.newsFrom() == null ? window.since() : progress.newsFrom(),
                        window.until(),
                        progress.sweptUntil(),
                        progress.sweptAt());
            case EARLIER ->
                new Progress(window.since(), progress.newsUntil(), progress.sweptUntil(), progress.sweptAt());
            case SWEEP -> {
                Instant reached = progress.newsUntil() == null ? now : min(progress.newsUntil(), now);
                boolean roundIsOver = !window.until().isBefore(reached);
                yield new Progress(progress.newsFrom(), progress.newsUntil(), roundIsOver ? null : window.until(), now);
            }
        };
    }

    private static Instant min(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }

    private static Instant max(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }
}
