package yokebar.links.sources.rotor;

/** One thing to ask of a rotator. */
sealed interface RotorCommand {

    /** Turn so that the antenna points there, degrees true. */
    record Point(double headingDegrees) implements RotorCommand {}

    record Raise(double elevationDegrees) implements RotorCommand {}

    record Stop() implements RotorCommand {}
}
