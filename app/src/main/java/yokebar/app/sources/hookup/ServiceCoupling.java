package yokebar.app.sources.hookup;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
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
    /** What failed, until it succeeds again. */
    private final Map<Purpose, Pause> pauses = new ConcurrentHashMap<>();

    private final Object changing = new Object();
    private volatile LinkStatus status;
    /** The state since handing over was forbidden; null while it is not. */
    private @Nullable LinkStatus forbidden;
    /** How often it began anew, or was switched off. */
    private int beginnings;

    protected ServiceCoupling(String id, Kind kind, String name, Hookups hookups, Clock clock) {
        super(id, kind, name, clock);
        this.hookups = hookups;
        this.clock = clock;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    /** What a call is for. Each has pauses of its own, so that one that always fails never holds up another. */
    public enum Purpose {
        /** Contacts are handed over or deleted there; that may be forbidden though all else is allowed. */
        HAND_OVER,
        /** What was handed over is followed: by the question for its report, by its picture. */
        FOLLOW_UP,
        /** Something is read there, such as confirmations. */
        READ
    }

    private record Pause(int attempt, Instant until) {}

    /** Something asked of the service. */
    @FunctionalInterface
    public interface Question<T> {
        T run() throws ServiceRefused, ServiceUnreachable;
    }

    @Override
    public abstract boolean complete();

    /**
     * Makes a call and takes its outcome as the state of the coupling. The growing pause of its purpose starts over only after a
     * proper answer. Where handing over is forbidden, that stays the trouble until it is allowed. While it is off, or when it began
     * anew meanwhile, as with another account, the outcome says nothing of it.
     */
    public final <T> T during(Purpose purpose, Question<T> question) throws ServiceRefused, ServiceUnreachable {
        int beginning = beginning();
        try {
            T answer = ask(question);
            answered(purpose, beginning);
            return answer;
        } catch (ServiceUnreachable e) {
            trouble(purpose, beginning, e.brief(), e.getMessage(), e.fix(), null);
            throw e;
        } catch (ServiceRefused e) {
            if (e.about() != ServiceRefused.About.CONTENT) {
                trouble(purpose, beginning, e.brief(), e.getMessage(), e.fix(), e.about());
            }
            throw e;
        }
    }

    private int beginning() {
        synchronized (changing) {
            return beginnings;
        }
    }

    /** Whether what was asked then says anything of the coupling as it is now. */
    private boolean saysSomething(int beginning) {
        return beginning == beginnings && status.state() != LinkState.OFF;
    }

    private void answered(Purpose purpose, int beginning) {
        boolean news;
        synchronized (changing) {
            if (!saysSomething(beginning)) {
                return;
            }
            pauses.remove(purpose);
            LinkStatus before = status;
            if (purpose == Purpose.HAND_OVER) {
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

    /** @param refusal what was refused; null when there was no answer at all */
    private void trouble(
            Purpose purpose,
            int beginning,
            String brief,
            @Nullable String reason,
            String fix,
            ServiceRefused.@Nullable About refusal) {
        synchronized (changing) {
            if (!saysSomething(beginning)) {
                return;
            }
            Instant now = clock.instant();
            LinkStatus before = status;
            int attempt = attempts(purpose) + 1;
            Pause pause = new Pause(attempt, now.plus(refusal == null ? PAUSES.after(attempt) : AFTER_REFUSAL));
            pauses.put(purpose, pause);
            if (refusal == ServiceRefused.About.ACCOUNT) {
                // No call succeeds with it, and too many tries may lock the account.
                for (Purpose other : Purpose.values()) {
                    pauses.put(other, new Pause(attempts(other), pause.until()));
                }
            }
            boolean still = before.state() == LinkState.TROUBLE;
            Instant since = still ? before.since() : now;
            status = new LinkStatus(
                    LinkState.TROUBLE, since, attempt, pause.until(), brief, reason, fix, before.lastData());
            if (purpose == Purpose.HAND_OVER && refusal == ServiceRefused.About.PERMISSION) {
                forbidden = status;
            }
        }
        hookups.changed(id());
    }

    private int attempts(Purpose purpose) {
        Pause pause = pauses.get(purpose);
        return pause == null ? 0 : pause.attempt();
    }

    /** Whether a call may be made now: connected, and no pause is running. */
    public final boolean ready(Purpose purpose) {
        return status.state() != LinkState.OFF && !nextAttempt(purpose).isAfter(clock.instant());
    }

    /**
     * Whether it is not known that it works, and nothing else will tell: a call that failed is tried again after its pause by those who
     * need it, and that handing over is forbidden is known.
     */
    protected final boolean inDoubt() {
        synchronized (changing) {
            LinkState state = status.state();
            Instant now = clock.instant();
            return (state == LinkState.STARTING || state == LinkState.TROUBLE)
                    && forbidden == null
                    && pauses.values().stream().noneMatch(pause -> pause.until().isAfter(now));
        }
    }

    /** When a call may be made again; in the past when it may be made now. */
    public final Instant nextAttempt(Purpose purpose) {
        Pause pause = pauses.get(purpose);
        return pause == null ? Instant.EPOCH : pause.until();
    }

    /** Forgets all running pauses, because the operator asked or changed something. */
    public final void hurry() {
        synchronized (changing) {
            pauses.replaceAll((purpose, pause) -> new Pause(pause.attempt(), clock.instant()));
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
            pauses.clear();
            beginnings++;
        }
    }
}
