package yokebar.core.sources.rotor;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;

/**
 * How far a rotator can turn, and the way it will take. Positions count clockwise from its stop without starting over at
 * 360°: with the stop at 180° they run from 180 to 540, and 10° is position 370. A rotator with overlap has more than one
 * position for some headings.
 *
 * @param stopDegrees the angle of the end it reaches turning anticlockwise, as the rotator reports it, 0 to under 360
 * @param travelDegrees from that end to the other, 90 to 720
 * @param mountOffsetDegrees what is added to the rotator's angle to get the antenna's heading, -180 to 180
 * @param deadZones headings it must not be pointed at
 */
public record RotorTravel(
        double stopDegrees, double travelDegrees, double mountOffsetDegrees, List<DeadZone> deadZones) {

    /** Gears have so much play at a stop. */
    private static final double SLACK_DEGREES = 3;
    /** No rotator turns less. */
    private static final double LEAST_TRAVEL_DEGREES = 90;

    private static final Pattern ZONE = Pattern.compile("(\\d{1,3})\\s*-\\s*(\\d{1,3})");

    /** A stop at north, once round, mounted straight, everywhere allowed. */
    public static final RotorTravel PLAIN = new RotorTravel(0, 360, 0, List.of());

    /**
     * Headings clockwise from one to the other, degrees true, both included.
     */
    public record DeadZone(double fromDegrees, double toDegrees) {
        boolean contains(double heading) {
            return turn(fromDegrees, heading) <= turn(fromDegrees, toDegrees);
        }

        private static double turn(double from, double to) {
            return normal(to - from);
        }
    }

    public RotorTravel {
        if (!(stopDegrees >= 0 && stopDegrees < 360)) {
            throw new IllegalArgumentException("the stop is at 0 to 359 degrees, not " + stopDegrees);
        }
        if (!(travelDegrees >= LEAST_TRAVEL_DEGREES && travelDegrees <= 720)) {
            throw new IllegalArgumentException("a rotator turns 90 to 720 degrees, not " + travelDegrees);
        }
        if (!(mountOffsetDegrees >= -180 && mountOffsetDegrees <= 180)) {
            throw new IllegalArgumentException("the mount offset is -180 to 180 degrees, not " + mountOffsetDegrees);
        }
        deadZones = List.copyOf(deadZones);
    }

    /** The antenna's heading, degrees true, 0 to under 360, at an angle the rotator reported. */
    public double heading(double reportedDegrees) {
        return normal(reportedDegrees + mountOffsetDegrees);
    }

    /**
     * The position at an angle the rotator reported; with overlap the one nearest to where it was.
     *
     * @param beforeDegrees its position before; NaN when that is not known
     */
    public double position(double reportedDegrees, double beforeDegrees) {
        double end = stopDegrees + travelDegrees;
        // A rotator with overlap may count on at 360 and beyond by itself, one without may say 360 at its end.
        if (reportedDegrees >= 360 && reportedDegrees <= end) {
            return reportedDegrees;
        }
        double first = stopDegrees + normal(reportedDegrees - stopDegrees);
        if (Double.isNaN(beforeDegrees)) {
            return first > end && first - end > stopDegrees + 360 - first ? first - 360 : first;
        }
        // At a stop it may rest a little behind it, and is not a whole turn away then.
        return DoubleStream.iterate(first - 360, angle -> angle <= end + SLACK_DEGREES, angle -> angle + 360)
                .filter(angle -> angle >= stopDegrees - SLACK_DEGREES)
                .boxed()
                .min((a, b) -> Double.compare(Math.abs(a - beforeDegrees), Math.abs(b - beforeDegrees)))
                .orElse(first);
    }

    /** A position as the rotator counts: beyond 360 only where its way leads there, 0 to 360 otherwise, degrees. */
    public double asCounted(double positionDegrees) {
        boolean countsOn = travelDegrees > 360 || stopDegrees == 0;
        return countsOn ? positionDegrees : normal(positionDegrees);
    }

    /** The smaller angle between two headings, 0 to 180 degrees. */
    public static double between(double oneDegrees, double otherDegrees) {
        double way = normal(oneDegrees - otherDegrees);
        return Math.min(way, 360 - way);
    }

    /**
     * Where to turn to for a heading: the nearest position that has it and can be reached; empty in a dead zone or out of travel.
     *
     * @param headingDegrees degrees true
     * @param positionDegrees where it is now
     */
    public OptionalDouble target(double headingDegrees, double positionDegrees) {
        double heading = normal(headingDegrees);
        if (inDeadZone(heading)) {
            return OptionalDouble.empty();
        }
        double first = stopDegrees + normal(heading - mountOffsetDegrees - stopDegrees);
        return nearest(first, positionDegrees);
    }

    /** Whether the way the rotator can turn leads to a heading, degrees true. */
    public boolean reaches(double headingDegrees) {
        return normal(normal(headingDegrees) - mountOffsetDegrees - stopDegrees) <= travelDegrees;
    }

    /** Whether the antenna must not be pointed to a heading, degrees true. */
    public boolean inDeadZone(double headingDegrees) {
        double heading = normal(headingDegrees);
        return deadZones.stream().anyMatch(zone -> zone.contains(heading));
    }

    /**
     * Reads dead zones as people write them, clockwise: {@code 170-190, 350-10}.
     *
     * @throws IllegalArgumentException with a sentence that names the zone
     */
    public static List<DeadZone> readDeadZones(String text) {
        List<DeadZone> zones = new ArrayList<>();
        for (String zone : text.split(",")) {
            String tidy = zone.strip();
            if (tidy.isEmpty()) {
                continue;
            }
            Matcher shape = ZONE.matcher(tidy);
            if (!shape.matches() || Integer.parseInt(shape.group(1)) > 359 || Integer.parseInt(shape.group(2)) > 359) {
                throw new IllegalArgumentException(
                        "\"" + tidy + "\" is not a dead zone; it is two headings clockwise, such as 170-190");
            }
            zones.add(new DeadZone(Integer.parseInt(shape.group(1)), Integer.parseInt(shape.group(2))));
        }
        return List.copyOf(zones);
    }

    private OptionalDouble nearest(double first, double here) {
        double end = stopDegrees + travelDegrees;
        return DoubleStream.iterate(first, position -> position <= end, position -> position + 360)
                .boxed()
                .min((a, b) -> Double.compare(Math.abs(a - here), Math.abs(b - here)))
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }

    /**
     * How long a turn takes.
     *
     * @param degreesPerSecond over zero
     */
    public static Duration timeToTurn(double fromPosition, double toPosition, double degreesPerSecond) {
        if (!(degreesPerSecond > 0)) {
            throw new IllegalArgumentException("a rotator turns faster than " + degreesPerSecond + " degrees a second");
        }
        return Duration.ofMillis(Math.round(Math.abs(toPosition - fromPosition) / degreesPerSecond * 1000));
    }

    /** The heading of the long path to where this one is the short path, degrees true. */
    public static double opposite(double headingDegrees) {
        return normal(headingDegrees + 180);
    }

    /** The same angle from 0 to under 360. */
    public static double normal(double degrees) {
        double within = degrees % 360;
        double positive = within < 0 ? within + 360 : within;
        // A tiny negative angle becomes 360 by rounding.
        return positive >= 360 ? 0 : positive;
    }
}
