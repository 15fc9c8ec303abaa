package yokebar.app.sources.hookup;

import java.time.Clock;
import org.jspecify.annotations.Nullable;

/** What went over a coupling: how much during the last minute, and what last. Thread-safe. */
public final class Activity {
    private final Rate rate;
    private volatile @Nullable String lastEvent;

    public Activity(Clock clock) {
        rate = new Rate(clock);
    }

    /** @param event what came or went, in a few words */
    public void moved(int records, String event) {
        rate.add(records);
        lastEvent = event;
    }

    /** Says something of the coupling though nothing moved. */
    public void note(String event) {
        lastEvent = event;
    }

    int lastMinute() {
        return rate.lastMinute();
    }

    @Nullable
    String lastEvent() {
        return lastEvent;
    }
}
