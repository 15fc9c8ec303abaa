package yokebar.links.sources.device;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;

/**
 * What all links have in common that keep themselves up: a thread of their own from start to close, a state that somebody
 * watches, growing pauses between tries.
 */
public abstract class KeptLink implements ManagedLink {
    private final String threadName;
    private final Pauses pauses;
    private final @Nullable Duration quietAfter;
    private final Consumer<LinkStatus> watcher;
    private final Object pause = new Object();
    private final Object change = new Object();
    private volatile LinkStatus status;
    private volatile boolean closed;
    private boolean hurried;
    private @Nullable Thread thread;

    protected final Clock clock;

    /**
     * @param pauses between tries
     * @param quietAfter with nothing heard for this long a live link counts as quiet; null when silence is no matter of it
     * @param watcher told about every change of state
     */
    protected KeptLink(
            String threadName,
            Pauses pauses,
            @Nullable Duration quietAfter,
            Clock clock,
            Consumer<LinkStatus> watcher) {
        this.threadName = threadName;
        this.pauses = pauses;
        this.quietAfter = quietAfter;
        this.clock = clock;
        this.watcher = watcher;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    /** Connects, and again whenever that failed, until the link is closed. */
    protected abstract void run();

    /** Lets go of what the thread may be waiting for, because the link is closed. */
    protected void release() {}

    /** How long closing waits for the thread to end. */
    protected Duration endsWithin() {
        return Duration.ZERO;
    }

    @Override
    public final synchronized void start() {
        if (thread != null) {
            throw new IllegalStateException("already started");
        }
        become(LinkStatus.of(LinkState.STARTING, clock.instant(), null));
        thread = daemon(threadName, this::run);
        thread.start();
    }

    /** A thread that does not keep the program alive. */
    protected static Thread daemon(String name, Runnable task) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        return thread;
    }

    /** The state now; a live link that has heard nothing for long is given as quiet. */
    @Override
    public final LinkStatus status() {
        LinkStatus now = status;
        Duration max = quietAfter;
        if (max == null || now.state() != LinkState.LIVE) {
            return now;
        }
        Instant last = now.lastData() == null ? now.since() : now.lastData();
        boolean quiet = Duration.between(last, clock.instant()).compareTo(max) > 0;
        return quiet ? LinkStatus.of(LinkState.QUIET, last.plus(max), now.lastData()) : now;
    }

    @Override
    public final void hurry() {
        synchronized (pause) {
            hurried = true;
            pause.notifyAll();
        }
    }

    @Override
    public final void close() {
        // From here on nothing a thread still says of the link changes its state.
        synchronized (change) {
            closed = true;
        }
        release();
        hurry();
        awaitEnd();
        status = LinkStatus.of(LinkState.OFF, clock.instant(), status.lastData());
        tellWatcher();
    }

    private void awaitEnd() {
        Thread running;
        synchronized (this) {
            running = thread;
        }
        if (running == null || running == Thread.currentThread() || endsWithin().isZero()) {
            return;
        }
        try {
            running.join(endsWithin().toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    protected final boolean closed() {
        return closed;
    }

    /** Whether it works, however long nothing came. */
    protected final boolean live() {
        return status.state().works();
    }

    /** When data last came or went, UTC; null when none did. */
    protected final @Nullable Instant lastData() {
        return status.lastData();
    }

    /** It works; the watcher is told when it did not before. */
    protected final void works() {
        if (!live()) {
            become(LinkStatus.of(LinkState.LIVE, clock.instant(), status.lastData()));
        }
    }

    /** Data came or went; the watcher is told when the link did not work before. */
    protected final void heard(Instant at) {
        if (status.state() == LinkState.LIVE) {
            set(LinkStatus.of(LinkState.LIVE, status.since(), at));
        } else {
            become(LinkStatus.of(LinkState.LIVE, at, at));
        }
    }

    /** It answers, but late; the watcher is told when that is news. */
    protected final void slow(Instant at, String brief, String reason, String fix) {
        LinkStatus before = status;
        boolean still = before.state() == LinkState.SLOW;
        LinkStatus after = new LinkStatus(LinkState.SLOW, still ? before.since() : at, 0, null, brief, reason, fix, at);
        if (still && brief.equals(before.brief())) {
            set(after);
        } else {
            become(after);
        }
    }

    /**
     * It answers, but says that something is wrong with it; the watcher is told when that is news. No other try would help.
     *
     * @param brief the trouble in at most four words
     * @param reason what is wrong and why, one sentence
     * @param fix what the operator can do, one sentence
     */
    protected final void complains(Instant at, String brief, String reason, String fix) {
        LinkStatus before = status;
        boolean still = before.state() == LinkState.TROUBLE && before.nextAttempt() == null;
        Instant since = still ? before.since() : at;
        LinkStatus after = new LinkStatus(LinkState.TROUBLE, since, 0, null, brief, reason, fix, at);
        if (still && reason.equals(before.reason())) {
            set(after);
        } else {
            become(after);
        }
    }

    /**
     * A try failed.
     *
     * @param failed tries in a row, at least 1
     * @param brief the trouble in at most four words
     * @param reason what is wrong and why, one sentence
     * @param fix what the operator can do, one sentence
     */
    protected final void trouble(int failed, String brief, String reason, String fix) {
        Instant now = clock.instant();
        become(new LinkStatus(
                LinkState.TROUBLE,
                status.state() == LinkState.TROUBLE ? status.since() : now,
                failed,
                now.plus(pauses.after(failed)),
                brief,
                reason,
                fix,
                status.lastData()));
    }

    /** Waits until the next try is due, somebody is in a hurry, or the link is closed. */
    protected final void pauseAfter(int failed) {
        pause(pauses.after(failed));
    }

    /** Waits for that long, until somebody is in a hurry, or until the link is closed. */
    protected final void pause(Duration length) {
        synchronized (pause) {
            if (!closed && !hurried) {
                try {
                    pause.wait(length.toMillis());
                } catch (InterruptedException e) {
                    closed = true;
                }
            }
            hurried = false;
        }
    }

    /** Tells the state once more, where each piece of data is worth it. */
    protected final void tellWatcher() {
        watcher.accept(status);
    }

    private void become(LinkStatus next) {
        if (set(next)) {
            tellWatcher();
        }
    }

    private boolean set(LinkStatus next) {
        synchronized (change) {
            if (!closed) {
                status = next;
            }
            return !closed;
        }
    }
}
