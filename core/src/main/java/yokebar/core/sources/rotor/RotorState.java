package yokebar.core.sources.rotor;

import org.jspecify.annotations.Nullable;

/**
 * Where the antenna points.
 *
 * @param headingDegrees degrees true; null before the rotator reported
 * @param elevationDegrees above the horizon; null when the rotator has none
 * @param targetDegrees the heading it is on the way to, degrees true; null when it is on no way
 * @param arrivesInSeconds how long the rest of the way takes at the speed it turns at; null before that is known
 */
public record RotorState(
        @Nullable Double headingDegrees,
        @Nullable Double elevationDegrees,
        @Nullable Double targetDegrees,
        @Nullable Integer arrivesInSeconds) {

    /** Before anything was reported. */
    public static final RotorState UNKNOWN = new RotorState(null, null, null, null);
}
