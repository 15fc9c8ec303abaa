package yokebar.app.sources.clock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Objects;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.sources.hookup.Coupling;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationChanged;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.sources.clock.TimeServer;

/**
 * Asks the time server now and then how far this computer's clock is off. It only says so; setting the clock is the system's
 * own affair. A clock that jumps, as after a sleep, is checked again at once.
 */
@Component
public class ClockCheck extends Coupling implements SmartLifecycle {
    static final String ID = "clock";
    private static final Logger LOG = LoggerFactory.getLogger(ClockCheck.class);
    private static final Duration LOOK_EVERY = Duration.ofSeconds(15);
    private static final Duration CHECK_EVERY = Duration.ofMinutes(10);
    private static final Duration CHECK_AGAIN_AFTER_TROUBLE = Duration.ofMinutes(1);
    /** Nobody needs it better. */
    private static final Duration RIGHT = Duration.ofMillis(50);
    /** From here on it is worth telling. */
    private static final Duration NOTABLE = Duration.ofMillis(500);
    /** From here on programs that work in time slots suffer. */
    private static final Duration TOO_MUCH = Duration.ofSeconds(1);

    private final Station station;
    private final Hookups hookups;
    private final ApplicationEventPublisher events;
    private final TaskScheduler scheduler;
    private final Clock clock;
    private final ReentrantLock oneCheck = new ReentrantLock();

    private volatile LinkStatus status;
    private volatile @Nullable TimeServer server;
    private volatile @Nullable Duration behind;
    private volatile @Nullable Instant checkedAt;
    private volatile boolean connected;
    private @Nullable ScheduledFuture<?> looking;
    private long lastNanos;
    private Instant lastInstant;
    private Instant nextCheck = Instant.EPOCH;

    ClockCheck(
            Station station, Hookups hookups, ApplicationEventPublisher events, TaskScheduler scheduler, Clock clock) {
        super(ID, Kind.CLOCK, "Clock", clock);
        this.station = station;
        this.hookups = hookups;
        this.events = events;
        this.scheduler = scheduler;
        this.clock = clock;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
        this.lastInstant = clock.instant();
        this.lastNanos = System.nanoTime();
    }

    @Override
    public void start() {
        connected = hookups.wanted(ID);
        readServer();
        hookups.register(this);
        looking = scheduler.scheduleWithFixedDelay(this::look, LOOK_EVERY);
    }

    @Override
    public void stop() {
        ScheduledFuture<?> running = looking;
        looking = null;
        if (running != null) {
            running.cancel(false);
        }
    }

    @Override
    public boolean isRunning() {
        return looking != null;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void stationChanged(StationChanged event) {
        if (readServer()) {
            scheduler.schedule(this::check, clock.instant());
        }
    }

    /** @return whether it is another one than before */
    private boolean readServer() {
        String text = station.preferences().timeServer();
        TimeServer fresh = text == null || text.isEmpty() ? null : TimeServer.of(text);
        boolean different = !Objects.equals(fresh, server);
        server = fresh;
        return different;
    }

    private void look() {
        Instant now = clock.instant();
        long nanos = System.nanoTime();
        Duration jump = Duration.between(lastInstant.plusNanos(nanos - lastNanos), now);
        lastInstant = now;
        lastNanos = nanos;
        if (jump.abs().compareTo(NOTABLE) > 0) {
            LOG.info("The clock jumped by {} s; it is checked", seconds(jump));
            nextCheck = now;
        }
        if (!nextCheck.isAfter(now) || nextCheck.isAfter(now.plus(CHECK_EVERY))) {
            check();
        }
    }

    private void check() {
        oneCheck.lock();
        try {
            TimeServer asked = server;
            Instant now = clock.instant();
            nextCheck = now.plus(CHECK_EVERY);
            if (!connected || asked == null) {
                behind = null;
                checkedAt = null;
                become(LinkStatus.of(LinkState.OFF, now, null));
            } else {
                check(asked);
            }
        } finally {
            oneCheck.unlock();
        }
    }

    private void check(TimeServer asked) {
        Instant last = status.lastData();
        if (status.state() == LinkState.OFF) {
            become(LinkStatus.of(LinkState.STARTING, clock.instant(), last));
        }
        try {
            TimeServer.Answer answer = asked.ask();
            Duration found = answer.offset();
            behind = found;
            Instant now = clock.instant();
            checkedAt = now;
            activity()
                    .note("This clock is " + words(found) + " (best of " + answer.samples() + ", round trip "
                            + answer.roundTrip().toMillis() + " ms).");
            if (found.abs().compareTo(TOO_MUCH) > 0) {
                nextCheck = now.plus(CHECK_AGAIN_AFTER_TROUBLE);
                become(status(LinkState.TROUBLE, "clock " + words(found), sentence(found), FIX, now));
            } else {
                become(status(LinkState.LIVE, null, null, null, now));
            }
        } catch (LinkFault e) {
            LOG.debug("The clock could not be checked", e);
            nextCheck = clock.instant().plus(CHECK_AGAIN_AFTER_TROUBLE);
            // What was found before may not hold any more.
            behind = null;
            become(status(LinkState.QUIET, e.kind().brief(), e.reason(), e.fix(), last));
        }
    }

    private static final String FIX =
            "Let the system set its clock by a time server; with a clock that is off, digital programs decode little or"
                    + " nothing and are not heard.";

    private LinkStatus status(
            LinkState state,
            @Nullable String brief,
            @Nullable String reason,
            @Nullable String fix,
            @Nullable Instant lastData) {
        Instant since = status.state() == state ? status.since() : clock.instant();
        return new LinkStatus(state, since, 0, null, brief, reason, fix, lastData);
    }

    private static String sentence(Duration behind) {
        return "This computer's clock is " + words(behind) + ".";
    }

    /** {@code 0.7 s behind}. */
    private static String words(Duration behind) {
        if (behind.abs().compareTo(RIGHT) < 0) {
            return "right to a tenth of a second";
        }
        return seconds(behind.abs()) + " s " + (behind.isNegative() ? "ahead" : "behind");
    }

    private static String seconds(Duration duration) {
        return String.format(Locale.ROOT, "%.1f", duration.toMillis() / 1000.0);
    }

    private void become(LinkStatus next) {
        status = next;
        hookups.changed(ID);
        events.publishEvent(new ClockChecked());
    }

    /** What the last check found. */
    public ClockView view() {
        TimeServer asked = server;
        Duration off = behind;
        boolean notable = off != null && off.abs().compareTo(NOTABLE) > 0;
        return new ClockView(
                ID,
                asked == null ? null : asked.words(),
                checkedAt,
                off == null ? null : off.toMillis(),
                off != null && notable ? sentence(off) + " " + FIX : null);
    }

    @Override
    public boolean complete() {
        return server != null;
    }

    @Override
    public String where() {
        TimeServer asked = server;
        return asked == null ? "no time server set" : asked.words();
    }

    @Override
    public LinkStatus status() {
        return status;
    }

    @Override
    public Proof test() {
        if (server == null) {
            return new Proof(false, "No time server is set. Name one under Station.");
        }
        check();
        Duration off = behind;
        return off == null
                ? new Proof(false, status.reason() + " " + status.fix())
                : new Proof(off.abs().compareTo(TOO_MUCH) <= 0, where() + " answers. " + sentence(off));
    }

    @Override
    public void connect() {
        connected = true;
        scheduler.schedule(this::check, clock.instant());
    }

    @Override
    public void disconnect() {
        connected = false;
        check();
    }
}
