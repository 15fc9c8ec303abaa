package yokebar.links.sources.rotor;

import java.io.IOException;
import java.time.Duration;
import java.util.OptionalDouble;
import java.util.Queue;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.rotor.RotorState;
import yokebar.core.sources.rotor.RotorTravel;
import yokebar.core.sources.rotor.TurningSpeed;
import yokebar.links.platform.wire.AnswerTime;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.platform.wire.Wire;
import yokebar.links.sources.device.Conversation;

/**
 * Asks a rotator where it points, one question at a time, turns it, and notices when it does not move. <em>Stop</em> waits for
 * nothing.
 */
final class RotorConversation implements Conversation {
    private static final long ASK_EVERY_NANOS = Duration.ofMillis(200).toNanos();
    private static final long ASK_AT_REST_EVERY_NANOS = Duration.ofMillis(500).toNanos();
    /** A command waits at most so long for the thread to wake. */
    private static final int LONGEST_REST_MS = 100;
    /** A rotator that has not moved for so long though it should counts as stuck. */
    private static final long STUCK_AFTER_NANOS = Duration.ofSeconds(7).toNanos();
    /** Within its tolerance of the target and not moving for so long, it has arrived. */
    private static final long RESTS_AFTER_NANOS = Duration.ofMillis(900).toNanos();

    private static final double MOVED_DEGREES = 0.5;
    private static final long OLD_AFTER_NANOS = Duration.ofSeconds(2).toNanos();

    private final String name;
    private final RotorTravel travel;
    private final double toleranceDegrees;
    private final Queue<RotorCommand> commands;
    private final Consumer<RotorState> listener;
    private final Easycomm easycomm = new Easycomm();
    private final AnswerTime answerTime = new AnswerTime();
    private double position = Double.NaN;
    private long positionAt;
    private @Nullable Double elevation;
    private long elevationAt;
    private double target = Double.NaN;
    private double restPosition = Double.NaN;
    private long restSince;
    private long nextAsk;
    private boolean awaiting;
    private long askedAt;
    private final TurningSpeed speed;
    private boolean started;
    private boolean stuck;
    private RotorState reported = RotorState.UNKNOWN;

    /**
     * @param toleranceDegrees it may rest so far from where it was sent
     * @param speed known from connections before
     */
    RotorConversation(
            String name,
            RotorTravel travel,
            double toleranceDegrees,
            TurningSpeed speed,
            Queue<RotorCommand> commands,
            Consumer<RotorState> listener) {
        this.speed = speed;
        this.name = name;
        this.travel = travel;
        this.toleranceDegrees = toleranceDegrees;
        this.commands = commands;
        this.listener = listener;
    }

    @Override
    public void turn(long now, Outlet out) throws IOException {
        if (commands.removeIf(RotorCommand.Stop.class::isInstance)) {
            // Whatever was asked for before the stop is off.
            commands.clear();
            stop(out);
        }
        age(now);
        if (awaiting && now - askedAt < answerTime.waitNanos()) {
            return;
        }
        if (awaiting) {
            awaiting = false;
            answerTime.missed();
        }
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
            awaiting = true;
            askedAt = now;
        }
    }

    @Override
    public int waitMs(long now) {
        return Double.isNaN(target) && started && !awaiting ? LONGEST_REST_MS : Wire.READ_WAIT_MS;
    }

    private void stop(Outlet out) throws IOException {
        target = Double.NaN;
        stuck = false;
        speed.end();
        out.send(Easycomm.stop());
        tell();
    }

    private void obey(RotorCommand command, long now, Outlet out) throws IOException {
        if (command instanceof RotorCommand.Point point) {
            OptionalDouble to = travel.target(point.headingDegrees(), position);
            if (to.isPresent()) {
                target = to.getAsDouble();
                restPosition = position;
                restSince = now;
                speed.begin(position, now);
                out.send(Easycomm.turnTo(travel.asCounted(target)));
            }
        } else if (command instanceof RotorCommand.Raise raise) {
            out.send(Easycomm.raiseTo(raise.elevationDegrees()));
        }
        tell();
    }

    /** Where it pointed long ago is not where it points. */
    private void age(long now) {
        long oldAfter = OLD_AFTER_NANOS + 4 * answerTime.meanNanos();
        if (!Double.isNaN(position) && now - positionAt > oldAfter) {
            position = Double.NaN;
            tell();
        }
        if (elevation != null && now - elevationAt > oldAfter) {
            elevation = null;
            tell();
        }
    }

    @Override
    public Heard received(byte[] bytes, int length, long now) {
        Easycomm.Understood understood = easycomm.listen(bytes, length, angle -> moved(angle, now), angle -> {
            elevation = angle;
            elevationAt = now;
        });
        if (understood.words() > 0) {
            tell();
            return Heard.ANSWER;
        }
        return understood.garbage() > 0 ? Heard.GARBAGE : Heard.PART;
    }

    private void moved(double reported, long now) {
        if (awaiting) {
            awaiting = false;
            answerTime.answered(now - askedAt);
        }
        position = travel.position(reported, position);
        positionAt = now;
        speed.at(position, now);
        if (Double.isNaN(restPosition) || Math.abs(position - restPosition) > MOVED_DEGREES) {
            restPosition = position;
            restSince = now;
        }
        if (!Double.isNaN(target)) {
            double way = RotorTravel.between(travel.heading(position), travel.heading(target));
            boolean rests = now - restSince > RESTS_AFTER_NANOS;
            if (way <= MOVED_DEGREES || way <= toleranceDegrees && rests) {
                target = Double.NaN;
                speed.end();
            }
        }
        stuck = !Double.isNaN(target) && now - restSince > STUCK_AFTER_NANOS;
    }

    @Override
    public int slowMs() {
        return answerTime.slowMs();
    }

    @Override
    public @Nullable LinkFault complaint() {
        if (!stuck || Double.isNaN(position)) {
            return null;
        }
        return new LinkFault(
                LinkFault.Kind.STUCK,
                name + " was asked to turn to " + Math.round(travel.heading(target)) + "° but stays at "
                        + Math.round(travel.heading(position)) + "°.",
                "Is its motor on? Stop it and look at the mast before you try again.",
                null);
    }

    private void tell() {
        RotorState now = new RotorState(
                Double.isNaN(position) ? null : travel.heading(position),
                elevation,
                Double.isNaN(target) ? null : travel.heading(target),
                arrivesInSeconds());
        if (!now.equals(reported)) {
            reported = now;
            listener.accept(now);
        }
    }

    private @Nullable Integer arrivesInSeconds() {
        OptionalDouble degreesPerSecond = speed.degreesPerSecond();
        return Double.isNaN(target) || Double.isNaN(position) || degreesPerSecond.isEmpty()
                ? null
                : (int) Math.ceil(RotorTravel.timeToTurn(position, target, degreesPerSecond.getAsDouble())
                                .toMillis()
                        / 1000.0);
    }
}
