package yokebar.app.sources.hookup;

import java.time.Clock;

/** How many events happened during the last minute, to the second. Thread-safe. */
final class Rate {
    private static final int SECONDS = 60;

    private final Clock clock;
    private final int[] counts = new int[SECONDS];
    private final long[] seconds = new long[SECONDS];

    Rate(Clock clock) {
        this.clock = clock;
    }

    synchronized void add(int events) {
        long second = clock.instant().getEpochSecond();
        int slot = (int) Math.floorMod(second, (long) SECONDS);
        if (seconds[slot] != second) {
            seconds[slot] = second;
            counts[slot] = 0;
        }
        counts[slot] += events;
    }

    synchronized int lastMinute() {
        long second = clock.instant().getEpochSecond();
        int sum = 0;
        for (int slot = 0; slot < SECONDS; slot++) {
            if (second - seconds[slot] < SECONDS) {
                sum += counts[slot];
            }
        }
        return sum;
    }
}
