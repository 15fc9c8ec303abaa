package yokebar.links.device;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;
import yokebar.links.status.Pauses;
import yokebar.links.wire.DeviceAddress;
import yokebar.links.wire.LinkFault;
import yokebar.links.wire.Wire;

/**
 * Keeps a device connected: opens its address, holds the conversation, notices when it falls silent or talks nonsense, and
 * tries again with growing pauses that start over only after a proper answer.
 */
public final class DeviceLink implements ManagedLink {
    private static final Logger LOG = LoggerFactory.getLogger(DeviceLink.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(1), Duration.ofSeconds(15));
    /** Without an answer for so long a device counts as silent. */
    static final Duration SILENCE = Duration.ofSeconds(3);

    private static final int BUFFER_BYTES = 4096;

    private final String name;
    private final DeviceAddress address;
    private final Supplier<Conversation> conversations;
    private final Clock clock;
    private final Consumer<LinkStatus> watcher;
    private final Object pauseLock = new Object();
    private volatile LinkStatus status;
    private volatile boolean closed;
    private @Nullable Thread thread;

    /**
     * @param name what the operator calls the device
     * @param conversations a new one for each connection
     * @param watcher told about every change of state
     */
    public DeviceLink(
            String name,
            DeviceAddress address,
            Supplier<Conversation> conversations,
            Clock clock,
            Consumer<LinkStatus> watcher) {
        this.name = name;
        this.address = address;
        this.conversations = conversations;
        this.clock = clock;
        this.watcher = watcher;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    @Override
    public synchronized void start() {
        if (thread != null) {
            throw new IllegalStateException("already started");
        }
        become(LinkStatus.of(LinkState.STARTING, clock.instant(), null));
        thread = new Thread(this::run, "device-" + name);
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public LinkStatus status() {
        return status;
    }

    @Override
    public void hurry() {
        synchronized (pauseLock) {
            pauseLock.notifyAll();
        }
    }

    /** Ends the connection and waits until the port is free again. */
    @Override
    public void close() {
        closed = true;
        hurry();
        Thread running;
        synchronized (this) {
            running = thread;
        }
        if (running != null && running != Thread.currentThread()) {
            try {
                running.join(2000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        become(LinkStatus.of(LinkState.OFF, clock.instant(), status.lastData()));
    }

    private void run() {
        int failed = 0;
        while (!closed) {
            try (Wire wire = address.open()) {
                converse(wire);
            } catch (LinkFault e) {
                report(e, ++failed);
            } catch (Lost e) {
                failed = e.answered ? 1 : failed + 1;
                report(e.fault, failed);
            } catch (IOException e) {
                LOG.debug("Closing the connection to {} failed", name, e);
            } catch (RuntimeException e) {
                // A fault of our own, or of whoever listens, must not end the link for good.
                LOG.error("The conversation with {} broke off; it is begun again", name, e);
                report(
                        new LinkFault(
                                LinkFault.Kind.LOST,
                                "The conversation with " + name + " broke off because of a fault in Yokebar.",
                                "It is begun again by itself; the log file tells more.",
                                e),
                        ++failed);
            }
            if (!closed) {
                pause(PAUSES.after(Math.max(1, failed)));
            }
        }
    }

    /** How a conversation ended. */
    private static final class Lost extends Exception {
        private static final long serialVersionUID = 1L;
        private final transient LinkFault fault;
        private final boolean answered;

        Lost(LinkFault fault, boolean answered) {
            super(fault);
            this.fault = fault;
            this.answered = answered;
        }
    }

    /** Talks until the link is closed. */
    private void converse(Wire wire) throws Lost {
        Conversation conversation = conversations.get();
        byte[] buffer = new byte[BUFFER_BYTES];
        boolean answered = false;
        boolean garbage = false;
        long lastAnswer = System.nanoTime();
        try {
            while (!closed) {
                conversation.turn(System.nanoTime(), wire::write);
                int count = wire.read(buffer, conversation.waitMs(System.nanoTime()));
                long now = System.nanoTime();
                if (count > 0) {
                    Conversation.Heard heard = conversation.received(buffer, count, now);
                    garbage |= heard == Conversation.Heard.GARBAGE;
                    if (heard == Conversation.Heard.ANSWER) {
                        lastAnswer = now;
                        garbage = false;
                        answered(conversation.complaint());
                        answered = true;
                    }
                }
                if (now - lastAnswer > SILENCE.toNanos()) {
                    throw garbage ? garbled() : silent();
                }
            }
        } catch (LinkFault e) {
            throw new Lost(e, answered);
        } catch (IOException e) {
            throw new Lost(lost(e), answered);
        }
    }

    private void answered(@Nullable LinkFault complaint) {
        Instant now = clock.instant();
        LinkStatus before = status;
        LinkState state = complaint == null ? LinkState.LIVE : LinkState.TROUBLE;
        // It answers, so no next try is planned; a running try that failed before is over.
        boolean still = before.state() == state && before.nextAttempt() == null;
        LinkStatus after = new LinkStatus(
                state,
                still ? before.since() : now,
                0,
                null,
                complaint == null ? null : complaint.kind().brief(),
                complaint == null ? null : complaint.reason(),
                complaint == null ? null : complaint.fix(),
                now);
        if (still) {
            status = after;
        } else {
            become(after);
        }
    }

    private LinkFault silent() {
        return new LinkFault(
                LinkFault.Kind.NO_ANSWER,
                name + " does not answer on " + address.words() + ".",
                address.whenSilent(),
                null);
    }

    private LinkFault garbled() {
        return new LinkFault(
                LinkFault.Kind.GARBAGE,
                "What comes from " + address.words() + " makes no sense as " + name + ".",
                address.whenGarbled(),
                null);
    }

    private LinkFault lost(IOException e) {
        return new LinkFault(
                LinkFault.Kind.LOST,
                "The connection to " + name + " on " + address.words() + " was lost.",
                "Is it still on and plugged in? It is tried again by itself.",
                e);
    }

    private void report(LinkFault fault, int failed) {
        if (closed) {
            return;
        }
        LOG.info("{} (try {})", fault.reason(), failed);
        LOG.debug("The try that failed", fault);
        Instant now = clock.instant();
        LinkStatus before = status;
        boolean still = before.state() == LinkState.TROUBLE;
        become(new LinkStatus(
                LinkState.TROUBLE,
                still ? before.since() : now,
                failed,
                now.plus(PAUSES.after(failed)),
                fault.kind().brief(),
                named(fault.reason()),
                fault.fix(),
                before.lastData()));
    }

    /** What is wrong with a port says nothing of what was to be reached there. */
    private String named(String reason) {
        return reason.contains(name) ? reason : name + ": " + reason;
    }

    private void pause(Duration length) {
        synchronized (pauseLock) {
            if (!closed) {
                try {
                    pauseLock.wait(length.toMillis());
                } catch (InterruptedException e) {
                    closed = true;
                }
            }
        }
    }

    private void become(LinkStatus next) {
        status = next;
        watcher.accept(next);
    }
}
