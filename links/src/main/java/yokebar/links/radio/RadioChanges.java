package yokebar.links.radio;

import yokebar.core.radio.RadioReport;
import yokebar.core.radio.RadioState;

/** Notices when somebody last did something with the radio; the meter's dance does not count. */
final class RadioChanges {
    private RadioState state = RadioState.UNKNOWN;
    private long lastNanos = System.nanoTime();

    void take(RadioReport report, long now) {
        if (report instanceof RadioReport.Meter) {
            return;
        }
        RadioState after = state.with(report);
        if (!after.equals(state)) {
            state = after;
            lastNanos = now;
        }
    }

    void touched(long now) {
        lastNanos = now;
    }

    long lastNanos() {
        return lastNanos;
    }
}
