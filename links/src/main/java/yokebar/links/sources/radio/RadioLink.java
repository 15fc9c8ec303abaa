package yokebar.links.sources.radio;

import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.device.DeviceLink;
import yokebar.links.sources.device.ManagedLink;

/** A radio kept connected: what it reports, what it is told, and who transmits with it. Thread-safe. */
public final class RadioLink implements ManagedLink {
    /** How often a radio is asked by default. */
    public static final Duration POLL_EVERY = Duration.ofMillis(100);

    private final DeviceLink link;
    private final CommandQueue commands = new CommandQueue();
    private final Keying keying;
    private final Consumer<RadioState> listener;
    private volatile RadioState state = RadioState.UNKNOWN;

    /**
     * How a radio is asked.
     *
     * @param pollEvery how often what must feel live is asked
     * @param keyingLimit no transmission through Yokebar is longer
     */
    public record Habits(Duration pollEvery, Duration keyingLimit) {
        public static final Habits STANDARD = new Habits(POLL_EVERY, Duration.ofMinutes(5));
    }

    /**
     * Whom the link tells. All are called in its own thread and must not block.
     *
     * @param state whenever the state changed
     * @param status whenever the link's state changed
     * @param keying whenever somebody began or ended transmitting
     * @param leftKeyed true before the radio is keyed, false when it reports that it receives
     */
    public record Listeners(
            Consumer<RadioState> state, Consumer<LinkStatus> status, Runnable keying, Consumer<Boolean> leftKeyed) {
        public static Listeners of(Consumer<RadioState> state, Consumer<LinkStatus> status) {
            return new Listeners(state, status, () -> {}, on -> {});
        }
    }

    /** @param dialects a new one for each connection */
    public RadioLink(
            String name,
            DeviceAddress address,
            Supplier<RadioDialect> dialects,
            Habits habits,
            Clock clock,
            Listeners listeners) {
        this.listener = listeners.state();
        this.keying = new Keying(habits.keyingLimit(), listeners.keying(), listeners.leftKeyed());
        this.link = new DeviceLink(
                name,
                address,
                () -> new RadioConversation(name, dialects.get(), commands, keying, habits.pollEvery(), this::take),
                this::forget,
                clock,
                listeners.status());
    }

    @Override
    public void start() {
        link.start();
    }

    @Override
    public LinkStatus status() {
        return link.status();
    }

    /** What the radio reported lately; {@link RadioState#UNKNOWN} while it is not connected. */
    public RadioState state() {
        return state;
    }

    /** Tells the radio something, soon; what it makes of it shows in its next reports and in the outcome. */
    public CompletableFuture<CommandOutcome> tell(RadioCommand command) {
        return commands.add(command);
    }

    public Keying keying() {
        return keying;
    }

    @Override
    public void hurry() {
        link.hurry();
    }

    @Override
    public void close() {
        link.close();
    }

    private void take(RadioState after) {
        state = after;
        listener.accept(after);
    }

    /** A frequency of a radio that is not connected is not a frequency: it must not get into the log. */
    private void forget() {
        commands.close();
        keying.lost();
        if (!state.equals(RadioState.UNKNOWN)) {
            state = RadioState.UNKNOWN;
            listener.accept(state);
        }
    }
}
