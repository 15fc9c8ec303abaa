package yokebar.app.hookup;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;
import yokebar.links.status.Pauses;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** A coupling to somebody who is asked over the network now and then: how the last call went decides its state. */
public abstract class ServiceCoupling extends Coupling {
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(10));
    /** A refused account is asked about again only now and then: the operator has to act first. */
    private static final Duration AFTER_REFUSAL = Duration.ofMinutes(15);

    private final Hookups hookups;
    private final Clock clock;
    private final Set<Thread> asking = new HashSet<>();
    private volatile LinkStatus status;

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

    /** Whether all that a call needs is there. */
    protected abstract boolean complete();

    /**
     * Makes a call and takes its outcome as the state of the coupling. The growing pause starts over only after a proper
     * answer.
     */
    public final <T> T during(Question<T> question) throws ServiceRefused, ServiceUnreachable {
        try {
            T answer = ask(question);
            Instant now = clock.instant();
            boolean news = status.state() != LinkState.LIVE;
            status = LinkStatus.of(LinkState.LIVE, news ? now : status.since(), now);
            if (news) {
                hookups.changed(id());
            }
            return answer;
        } catch (ServiceUnreachable e) {
            trouble(e.brief(), e.getMessage(), e.fix(), null);
            throw e;
        } catch (ServiceRefused e) {
            if (e.about() == ServiceRefused.About.ACCOUNT) {
                trouble(e.brief(), e.getMessage(), e.fix(), AFTER_REFUSAL);
            }
            throw e;
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

    private void trouble(String brief, @Nullable String reason, String fix, @Nullable Duration fixedPause) {
        Instant now = clock.instant();
        LinkStatus before = status;
        int attempt = before.attempt() + 1;
        Duration pause = fixedPause == null ? PAUSES.after(attempt) : fixedPause;
        boolean still = before.state() == LinkState.TROUBLE;
        status = new LinkStatus(
                LinkState.TROUBLE,
                still ? before.since() : now,
                attempt,
                now.plus(pause),
                brief,
                reason,
                fix,
                before.lastData());
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
        LinkStatus now = status;
        if (now.state() == LinkState.TROUBLE) {
            status = new LinkStatus(
                    now.state(),
                    now.since(),
                    now.attempt(),
                    clock.instant(),
                    now.brief(),
                    now.reason(),
                    now.fix(),
                    now.lastData());
        }
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
            status = LinkStatus.of(LinkState.STARTING, clock.instant(), status.lastData());
        }
        hookups.changed(id());
    }

    @Override
    public void disconnect() {
        status = LinkStatus.of(LinkState.OFF, clock.instant(), status.lastData());
        hookups.changed(id());
    }
}
