package yokebar.links.rotor;

import java.io.IOException;
import java.time.Duration;
import java.util.OptionalDouble;
import java.util.Queue;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.rotor.RotorState;
import yokebar.core.rotor.RotorTravel;
import yokebar.core.rotor.TurningSpeed;
import yokebar.links.device.Conversation;
import yokebar.links.wire.LinkFault;
import yokebar.links.wire.Wire;

/** Asks a rotator where it points, turns it, and notices when it does not move. */
final class RotorConversation implements Conversation {
    private static final long ASK_EVERY_NANOS = Duration.ofMillis(200).toNanos();
    private static final long ASK_AT_REST_EVERY_NANOS = Duration.ofMillis(500).toNanos();
    /** A command waits at most so long for the thread to wake. */
    private static final int LONGEST_REST_MS = 100;
    /** A rotator that has not moved for so long though it should counts as stuck. */
    private static final long STUCK_AFTER_NANOS = Duration.ofSeconds(7).toNanos();

    private static final double MOVED_DEGREES = 0.5;
    /** Rotators stop a little before or behind what they were told. */
    private static final double ARRIVED_WITHIN_DEGREES = 1.5;

    private final String name;
    private final RotorTravel travel;
    private final Queue<RotorCommand> commands;
    private final Consumer<RotorState> listener;
    private final Easycomm easycomm = new Easycomm();
    private double position = Double.NaN;
    private @Nullable Double elevation;
    private double target = Double.NaN;
    private double restPosition = Double.NaN;
    private long restSince;
    private long nextAsk;
    private final TurningSpeed speed;
    private boolean started;
    private boolean stuck;

    /** @param speed known from connections before */
    RotorConversation(
            String name,
            RotorTravel travel,
            TurningSpeed speed,
            Queue<RotorCommand> commands,
            Consumer<RotorState> listener) {
        this.speed = speed;
        this.name = name;
        this.travel = travel;
        this.commands = commands;
        this.listener = listener;
    }

    @Override
    public void turn(long now, Outlet out) throws IOException {
        if (!Double.isNaN(position)) {
            for (RotorCommand command = commands.poll(); command != null; command = commands.poll()) {
                obey(command, now, out);
            }
        }
        if (!started || now - nextAsk >= 0) {
            started = true;
            // The mast may be turned by hand at its own box, so it is watched at rest too, only less often.
            nextAsk = now + (Double.isNaN(target) ? ASK_AT_REST_EVERY_NANOS : ASK_EVERY_NANOS);
            out.send(Easycomm.whereAreYou());
        }
    }

    @Override
    public int waitMs(long now) {
        return Double.isNaN(target) && started ? LONGEST_REST_MS : Wire.READ_WAIT_MS;
    }

    private void obey(RotorCommand command, long now, Outlet out) throws IOException {
        if (command instanceof RotorCommand.Point point) {
            OptionalDouble to = travel.target(point.headingDegrees(), position);
            if (to.isPresent()) {
                target = to.getAsDouble();
                restPosition = position;
                restSince = now;
                speed.begin(position, now);
                // Rotators with overlap count on beyond 360; others know their stop themselves.
                out.send(Easycomm.turnTo(travel.travelDegrees() > 360 ? target : RotorTravel.normal(target)));
            }
        } else if (command instanceof RotorCommand.Raise raise) {
            out.send(Easycomm.raiseTo(raise.elevationDegrees()));
        } else {
            target = Double.NaN;
            speed.end();
            out.send(Easycomm.stop());
        }
        tell();
    }

    @Override
    public Heard received(byte[] bytes, int length, long now) {
        Easycomm.Understood understood =
                easycomm.listen(bytes, length, angle -> moved(angle, now), angle -> elevation = angle);
        if (understood.words() > 0) {
            tell();
            return Heard.ANSWER;
        }
        return understood.garbage() > 0 ? Heard.GARBAGE : Heard.PART;
    }

    private void moved(double reported, long now) {
        position = travel.position(reported, position);
        speed.at(position, now);
        if (Double.isNaN(restPosition) || Math.abs(position - restPosition) > MOVED_DEGREES) {
            restPosition = position;
            restSince = now;
        }
        if (Math.abs(target - position) <= ARRIVED_WITHIN_DEGREES) {
            target = Double.NaN;
            speed.end();
        }
        stuck = !Double.isNaN(target) && now - restSince > STUCK_AFTER_NANOS;
    }

    @Override
    public @Nullable LinkFault complaint() {
        if (!stuck) {
            return null;
        }
        return new LinkFault(
                LinkFault.Kind.STUCK,
                name + " was told to turn to " + Math.round(travel.heading(target)) + "° but stays at "
                        + Math.round(travel.heading(position)) + "°.",
                "Is its motor on? Stop it and look at the mast before you try again.",
                null);
    }

    private void tell() {
        listener.accept(new RotorState(
                Double.isNaN(position) ? null : travel.heading(position),
                elevation,
                Double.isNaN(target) ? null : travel.heading(target),
                arrivesInSeconds()));
    }

    private @Nullable Integer arrivesInSeconds() {
        OptionalDouble degreesPerSecond = speed.degreesPerSecond();
        return Double.isNaN(target) || degreesPerSecond.isEmpty()
                ? null
                : (int) Math.ceil(RotorTravel.timeToTurn(position, target, degreesPerSecond.getAsDouble())
                                .toMillis()
                        / 1000.0);
    }
}
