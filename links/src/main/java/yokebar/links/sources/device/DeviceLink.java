package yokebar.links.sources.device;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.platform.wire.Wire;

/**
 * Keeps a device connected: opens its address, holds the conversation, notices when it falls silent or talks nonsense, and
 * tries again with growing pauses that start over only after a proper answer.
 */
public final class DeviceLink extends KeptLink {
    private static final Logger LOG = LoggerFactory.getLogger(DeviceLink.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(1), Duration.ofSeconds(15));
    /** Without an answer for so long a device counts as silent. */
    static final Duration SILENCE = Duration.ofSeconds(3);

    private static final int BUFFER_BYTES = 4096;
    /** How long a farewell is waited for. */
    private static final Duration FAREWELL = Duration.ofMillis(1500);
    /** A device that was left transmitting is looked for without growing pauses. */
    private static final Duration RETURN_SOON = Duration.ofMillis(250);

    private final String name;
    private final DeviceAddress address;
    private final Supplier<Conversation> conversations;
    private final Runnable ended;
    private volatile boolean returnSoon;

    /**
     * @param name what the operator calls the device
     * @param conversations a new one for each connection
     * @param ended told when a conversation has ended, before anybody learns why: what the device said last holds no more
     * @param watcher told about every change of state
     */
    public DeviceLink(
            String name,
            DeviceAddress address,
            Supplier<Conversation> conversations,
            Runnable ended,
            Clock clock,
            Consumer<LinkStatus> watcher) {
        super("device-" + name, PAUSES, null, clock, watcher);
        this.name = name;
        this.address = address;
        this.conversations = conversations;
        this.ended = ended;
    }

    /** Long enough for the port to be free again. */
    @Override
    protected Duration endsWithin() {
        return Duration.ofSeconds(4);
    }

    @Override
    protected void run() {
        keepConnected();
        lastWords();
    }

    private void keepConnected() {
        int failed = 0;
        while (!closed()) {
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
                LOG.error("The connection with {} failed; it is started again", name, e);
                report(
                        new LinkFault(
                                LinkFault.Kind.LOST,
                                "The conversation with " + name + " ended because of a fault in Yokebar.",
                                "Yokebar starts it again automatically; see the log file.",
                                e),
                        ++failed);
            }
            if (!closed()) {
                if (returnSoon) {
                    pause(RETURN_SOON);
                } else {
                    pauseAfter(Math.max(1, failed));
                }
            }
        }
    }

    /** Closed while the line to a device that may still transmit was down: one more try to set it to receive. */
    private void lastWords() {
        if (!returnSoon) {
            return;
        }
        try (Wire wire = address.open()) {
            Conversation conversation = conversations.get();
            conversation.turn(System.nanoTime(), wire::write);
            part(conversation, wire, new byte[BUFFER_BYTES]);
        } catch (IOException e) {
            LOG.warn("{} could not be reached once more before the end; see whether it transmits", name, e);
        } finally {
            ended.run();
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
            while (!closed()) {
                conversation.turn(System.nanoTime(), wire::write);
                int count = wire.read(buffer, conversation.waitMs(System.nanoTime()));
                long now = System.nanoTime();
                if (count > 0) {
                    Conversation.Heard heard = conversation.received(buffer, count, now);
                    garbage |= heard == Conversation.Heard.GARBAGE;
                    if (heard == Conversation.Heard.ANSWER) {
                        lastAnswer = now;
                        garbage = false;
                        answered(conversation);
                        answered = true;
                    }
                }
                if (now - lastAnswer > SILENCE.toNanos()) {
                    throw garbage ? garbled() : silent();
                }
            }
            part(conversation, wire, buffer);
            returnSoon = false;
        } catch (LinkFault e) {
            throw new Lost(e, answered);
        } catch (IOException e) {
            throw new Lost(lost(e), answered);
        } finally {
            returnSoon = !(closed() && conversation.parted()) && conversation.mustReturnSoon();
            ended.run();
        }
    }

    /** Says the last words and waits a moment until they are understood. */
    private static void part(Conversation conversation, Wire wire, byte[] buffer) throws IOException {
        conversation.farewell(wire::write);
        long until = System.nanoTime() + FAREWELL.toNanos();
        while (!conversation.parted() && System.nanoTime() - until < 0) {
            int count = wire.read(buffer, Wire.READ_WAIT_MS);
            if (count > 0) {
                conversation.received(buffer, count, System.nanoTime());
            }
        }
    }

    private void answered(Conversation conversation) {
        LinkFault complaint = conversation.complaint();
        int slowMs = conversation.slowMs();
        if (complaint == null && slowMs == 0) {
            heard(clock.instant());
        } else if (complaint == null) {
            String seconds = String.format(Locale.ROOT, "%.1f s", slowMs / 1000.0);
            slow(
                    clock.instant(),
                    "slow, " + seconds,
                    name + " takes " + seconds + " to answer.",
                    "What is shown may be that much late. Is the connection slow, or its speed set low?");
        } else {
            complains(clock.instant(), complaint.kind().brief(), complaint.reason(), complaint.fix());
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
                "Is it still on and plugged in? Yokebar tries again automatically.",
                e);
    }

    private void report(LinkFault fault, int failed) {
        if (!closed()) {
            LOG.info("{} (try {})", fault.reason(), failed);
            LOG.debug("The try that failed", fault);
        }
        trouble(failed, fault.kind().brief(), named(fault.reason()), fault.fix());
    }

    /** What is wrong with a port says nothing of what was to be reached there. */
    private String named(String reason) {
        return reason.contains(name) ? reason : name + ": " + reason;
    }
}
