package yokebar.links.radio;

import java.time.Clock;
import java.time.Duration;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Consumer;
import java.util.function.Supplier;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioReport;
import yokebar.core.radio.RadioState;
import yokebar.links.device.DeviceLink;
import yokebar.links.device.ManagedLink;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;
import yokebar.links.wire.DeviceAddress;

/** A radio kept connected: what it reports, and what it is told. Thread-safe. */
public final class RadioLink implements ManagedLink {
    /** How often a radio is asked by default. */
    public static final Duration POLL_EVERY = Duration.ofMillis(100);

    private final DeviceLink link;
    private final Queue<RadioCommand> commands = new ConcurrentLinkedQueue<>();
    private final Consumer<RadioState> listener;
    private volatile RadioState state = RadioState.UNKNOWN;

    /**
     * @param dialects a new one for each connection
     * @param listener told whenever the state changed, in the link's own thread
     * @param watcher told about every change of the link's state
     */
    public RadioLink(
            String name,
            DeviceAddress address,
            Supplier<RadioDialect> dialects,
            Duration pollEvery,
            Clock clock,
            Consumer<RadioState> listener,
            Consumer<LinkStatus> watcher) {
        this.listener = listener;
        this.link = new DeviceLink(
                name,
                address,
                () -> new RadioConversation(dialects.get(), commands, pollEvery, this::take),
                this::forget,
                clock,
                status -> {
                    if (status.state() != LinkState.LIVE) {
                        commands.clear();
                    }
                    watcher.accept(status);
                });
    }

    @Override
    public void start() {
        link.start();
    }

    @Override
    public LinkStatus status() {
        return link.status();
    }

    /** What the radio last reported; {@link RadioState#UNKNOWN} while it is not connected. */
    public RadioState state() {
        return state;
    }

    /** Tells the radio something, soon; what it makes of it shows in its next reports. */
    public void tell(RadioCommand command) {
        // What it reports is known a moment before the link counts as live.
        if (link.status().state() == LinkState.LIVE || !state.equals(RadioState.UNKNOWN)) {
            commands.add(command);
        }
    }

    @Override
    public void hurry() {
        link.hurry();
    }

    @Override
    public void close() {
        link.close();
    }

    private void take(RadioReport report) {
        RadioState before = state;
        RadioState after = before.with(report);
        if (!after.equals(before)) {
            state = after;
            listener.accept(after);
        }
    }

    /** A frequency of a radio that is not connected is no frequency: it must not get into the log. */
    private void forget() {
        if (!state.equals(RadioState.UNKNOWN)) {
            state = RadioState.UNKNOWN;
            listener.accept(state);
        }
    }
}
