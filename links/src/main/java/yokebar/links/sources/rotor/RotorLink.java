package yokebar.links.sources.rotor;

import java.time.Clock;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.Consumer;
import yokebar.core.sources.rotor.RotorState;
import yokebar.core.sources.rotor.RotorTravel;
import yokebar.core.sources.rotor.TurningSpeed;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.device.DeviceLink;
import yokebar.links.sources.device.ManagedLink;

/** A rotator kept connected. Thread-safe. */
public final class RotorLink implements ManagedLink {
    private final DeviceLink link;
    private final Queue<RotorCommand> commands = new ConcurrentLinkedQueue<>();
    private final TurningSpeed speed = new TurningSpeed();
    private final Consumer<RotorState> listener;
    private volatile RotorState state = RotorState.UNKNOWN;

    /**
     * @param toleranceDegrees it may rest so far from where it was sent
     * @param listener told whenever the state changed, in the link's own thread
     * @param watcher told about every change of the link's state
     */
    public RotorLink(
            String name,
            DeviceAddress address,
            RotorTravel travel,
            double toleranceDegrees,
            Clock clock,
            Consumer<RotorState> listener,
            Consumer<LinkStatus> watcher) {
        this.listener = listener;
        this.link = new DeviceLink(
                name,
                address,
                () -> new RotorConversation(name, travel, toleranceDegrees, speed, commands, this::take),
                () -> take(RotorState.UNKNOWN),
                clock,
                status -> {
                    if (status.state() != LinkState.LIVE && status.nextAttempt() != null) {
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

    public RotorState state() {
        return state;
    }

    /** Turns the antenna the nearest way its stop allows, degrees true. */
    public void point(double headingDegrees) {
        // Only the newest counts: a knob on the screen makes many.
        commands.removeIf(RotorCommand.Point.class::isInstance);
        commands.add(new RotorCommand.Point(headingDegrees));
    }

    /** Raises the antenna, degrees above the horizon. */
    public void raise(double elevationDegrees) {
        commands.removeIf(RotorCommand.Raise.class::isInstance);
        commands.add(new RotorCommand.Raise(elevationDegrees));
    }

    public void stop() {
        commands.add(new RotorCommand.Stop());
    }

    @Override
    public void hurry() {
        link.hurry();
    }

    @Override
    public void close() {
        link.close();
    }

    private void take(RotorState after) {
        if (!after.equals(state)) {
            state = after;
            listener.accept(after);
        }
    }
}
