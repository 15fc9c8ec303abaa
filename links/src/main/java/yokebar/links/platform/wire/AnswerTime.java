package yokebar.links.platform.wire;

import java.time.Duration;

/**
 * How long a device takes to answer, learned from its answers, and how long to wait for the next one. The estimate is that of
 * RFC 6298 (smoothed mean and deviation). Used by one thread.
 */
public final class AnswerTime {
    private static final long LEAST_WAIT_NANOS = Duration.ofMillis(250).toNanos();
    private static final long FIRST_WAIT_NANOS = Duration.ofMillis(2500).toNanos();
    private static final long MAX_WAIT_NANOS = Duration.ofMillis(2500).toNanos();
    private static final long SLOW_FROM_NANOS = Duration.ofMillis(250).toNanos();
    private static final long SLOW_UNTIL_NANOS = Duration.ofMillis(150).toNanos();
    private static final long MARGIN_NANOS = Duration.ofMillis(50).toNanos();

    private double meanNanos = -1;
    private double deviationNanos;
    private long waitNanos = FIRST_WAIT_NANOS;
    private boolean slow;

    /** An answer came so long after its question, ns. */
    public void answered(long nanos) {
        if (meanNanos < 0) {
            meanNanos = nanos;
            deviationNanos = nanos / 2.0;
        } else {
            deviationNanos += (Math.abs(nanos - meanNanos) - deviationNanos) / 4;
            meanNanos += (nanos - meanNanos) / 8;
        }
        double wait = meanNanos + 4 * deviationNanos + MARGIN_NANOS;
        waitNanos = Math.min(MAX_WAIT_NANOS, Math.max(LEAST_WAIT_NANOS, Math.round(wait)));
        slow = meanNanos > (slow ? SLOW_UNTIL_NANOS : SLOW_FROM_NANOS);
    }

    /** No answer came within {@link #waitNanos()}: the next one is waited for longer. */
    public void missed() {
        waitNanos = Math.min(MAX_WAIT_NANOS, 2 * waitNanos);
    }

    /** How long to wait for an answer before the next question, ns. */
    public long waitNanos() {
        return waitNanos;
    }

    /** The usual time to an answer, ns; 0 before the first. */
    public long meanNanos() {
        return Math.max(0, Math.round(meanNanos));
    }

    /** The usual time to an answer when it is so long that the operator should know, ms; 0 when it is not. */
    public int slowMs() {
        return slow ? (int) (meanNanos() / 1_000_000) : 0;
    }
}
