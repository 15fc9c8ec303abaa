package yokebar.links.fake;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** Time that passes when a test says so. */
public final class MovingClock extends Clock {
    private volatile Instant now;

    /** Begins at noon of a day in May, UTC. */
    public MovingClock() {
        this(Instant.parse("2026-05-01T12:00:00Z"));
    }

    public MovingClock(Instant now) {
        this.now = now;
    }

    public void pass(Duration time) {
        now = now.plus(time);
    }

    @Override
    public Instant instant() {
        return now;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return this;
    }
}
