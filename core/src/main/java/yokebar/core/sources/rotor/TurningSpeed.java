package yokebar.core.sources.rotor;

import java.time.Duration;
import java.util.OptionalDouble;

/**
 * How fast a rotator turns, from what it reports on the way. The slow start and the coasting at the end count little: it is
 * the way since the turn began over the time it took, once that is long enough to mean something.
 */
public final class TurningSpeed {
    private static final double LEAST_DEGREES = 4;
    private static final long LEAST_NANOS = Duration.ofMillis(500).toNanos();

    private double from = Double.NaN;
    private long begin;
    private double degreesPerSecond = Double.NaN;

    /** A turn begins at a position, degrees. The speed of the last turn holds until this one shows its own. */
    public void begin(double position, long nowNanos) {
        from = position;
        begin = nowNanos;
    }

    /** The turn ended. */
    public void end() {
        from = Double.NaN;
    }

    /** It reported a position on the way, degrees. */
    public void at(double position, long nowNanos) {
        double way = Math.abs(position - from);
        if (way >= LEAST_DEGREES && nowNanos - begin >= LEAST_NANOS) {
            degreesPerSecond = way / ((nowNanos - begin) / 1e9);
        }
    }

    /** Degrees a second; empty before it turned far enough. */
    public OptionalDouble degreesPerSecond() {
        return Double.isNaN(degreesPerSecond) ? OptionalDouble.empty() : OptionalDouble.of(degreesPerSecond);
    }
}
