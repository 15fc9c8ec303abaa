package yokebar.app.sources.rotor;

/** A rotator reported something new, or was added, changed, connected or lost. */
public record RotorTurned(long rotorId) {}
