package yokebar.app.sources.hookup;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;

/** A coupling to somebody who is asked over the network now and then: how the last call went decides its state. */
public abstract class ServiceCoupling extends Coupling {
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(10));
    /** A refused account is asked about again only now and then: the operator has to act first. */
    private static final Duration AFTER_REFUSAL = Duration.ofMinutes(15);

    private final Hookups hookups;
    private final Clock clock;
    private final Set<Thread> asking = new HashSet<>();
    private final Object changing = new Object();
    private volatile LinkStatus status;
    /** The state since handing over was forbidden; null while it is not. */
    private @Nullable LinkStatus forbidden;

    protected ServiceCoupling(String id, Kind kind, String name, Hookups hookups, Clock clock) {
        super(id, kind, name, clock);
        this.hookups = hookups;
        this.clock = clock;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    /** Something asked of the service. */
    @FunctionalInterface
    public interface Question<T> {
        T run() throws ServiceRefused, ServiceUnreachable;
    }

    @Override
    public abstract boolean complete();

    /**
     * Makes a call and takes its outcome as the state of the coupling. The growing pause starts over only after a proper
     * answer.
     */
    public final <T> T during(Question<T> question) throws ServiceRefused, ServiceUnreachable {
        return during(question, false);
    }

    /** The same for a handover. Where handing over is forbidden, that stays the trouble until it is allowed. */
    protected final <T> T duringHandover(Question<T> question) throws ServiceRefused, ServiceUnreachable {
        return during(question, true);
    }

    private <T> T during(Question<T> question, boolean handover) throws ServiceRefused, ServiceUnreachable {
        try {
            T answer = ask(question);
            answered(handover);
            return answer;
        } catch (ServiceUnreachable e) {
            trouble(e.brief(), e.getMessage(), e.fix(), null, false);
            throw e;
        } catch (ServiceRefused e) {
            if (e.about() != ServiceRefused.About.CONTENT) {
                boolean forbids = handover && e.about() == ServiceRefused.About.PERMISSION;
                trouble(e.brief(), e.getMessage(), e.fix(), AFTER_REFUSAL, forbids);
            }
            throw e;
        }
    }

    private void answered(boolean handover) {
        boolean news;
        synchronized (changing) {
            LinkStatus before = status;
            if (handover) {
                forbidden = null;
            }
            Instant now = clock.instant();
            Instant since = before.state() == LinkState.LIVE ? before.since() : now;
            status = forbidden != null ? forbidden : LinkStatus.of(LinkState.LIVE, since, now);
            news = before.state() != status.state() || !Objects.equals(before.reason(), status.reason());
        }
        if (news) {
            hookups.changed(id());
        }
    }

    private <T> T ask(Question<T> question) throws ServiceRefused, ServiceUnreachable {
        synchronized (asking) {
            asking.add(Thread.currentThread());
        }
        try {
            return question.run();
        } finally {
            synchronized (asking) {
                asking.remove(Thread.currentThread());
                // Whoever asked now writes down how it went.
                Thread.interrupted();
            }
        }
    }

    /**
     * Lets go of answers that are being waited for; whoever asked learns that the service was not waited for. Nothing else may
     * interrupt a thread that uses the log: Java closes a file that is being read or written by an interrupted thread, and the
     * log with it.
     */
    public final void giveUpWaiting() {
        synchronized (asking) {
            asking.forEach(Thread::interrupt);
        }
    }

    private void trouble(
            String brief, @Nullable String reason, String fix, @Nullable Duration fixedPause, boolean forbids) {
        synchronized (changing) {
            Instant now = clock.instant();
            LinkStatus before = status;
            int attempt = before.attempt() + 1;
            Duration pause = fixedPause == null ? PAUSES.after(attempt) : fixedPause;
            boolean still = before.state() == LinkState.TROUBLE;
            Instant since = still ? before.since() : now;
            status = new LinkStatus(
                    LinkState.TROUBLE, since, attempt, now.plus(pause), brief, reason, fix, before.lastData());
            if (forbids) {
                forbidden = status;
            }
        }
        hookups.changed(id());
    }

    /** Whether a call may be made now: connected, and no pause is running. */
    public final boolean ready() {
        LinkStatus now = status;
        Instant next = now.nextAttempt();
        return now.state() != LinkState.OFF && (next == null || !next.isAfter(clock.instant()));
    }

    /** Forgets a running pause, because the operator asked or changed something. */
    public final void hurry() {
        synchronized (changing) {
            status = withoutPause(status);
            forbidden = forbidden == null ? null : withoutPause(forbidden);
        }
    }

    private LinkStatus withoutPause(LinkStatus now) {
        return now.state() != LinkState.TROUBLE
                ? now
                : new LinkStatus(
                        now.state(),
                        now.since(),
                        now.attempt(),
                        clock.instant(),
                        now.brief(),
                        now.reason(),
                        now.fix(),
                        now.lastData());
    }

    /** Notes what went over the line, for the interface. */
    public final void moved(int things, String event) {
        activity().moved(things, event);
        hookups.changed(id());
    }

    @Override
    public final LinkStatus status() {
        return status;
    }

    @Override
    public void connect() {
        if (complete()) {
            beginAnew(LinkState.STARTING);
        }
        hookups.changed(id());
    }

    @Override
    public void disconnect() {
        beginAnew(LinkState.OFF);
        hookups.changed(id());
    }

    private void beginAnew(LinkState state) {
        synchronized (changing) {
            status = LinkStatus.of(state, clock.instant(), status.lastData());
            forbidden = null;
        }
    }
}
