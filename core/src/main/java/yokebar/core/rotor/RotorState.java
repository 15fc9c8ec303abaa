package yokebar.core.rotor;

import org.jspecify.annotations.Nullable;

/**
 * Where the antenna points.
 *
 * @param headingDegrees degrees true; null before the rotator reported
 * @param elevationDegrees above the horizon; null when the rotator has none
 * @param targetDegrees the heading it is on the way to, degrees true; null when it is on no way
 */
public record RotorState(
        @Nullable Double headingDegrees, @Nullable Double elevationDegrees, @Nullable Double targetDegrees) {

    /** Before anything was reported. */
    public static final RotorState UNKNOWN = new RotorState(null, null, null);
}
