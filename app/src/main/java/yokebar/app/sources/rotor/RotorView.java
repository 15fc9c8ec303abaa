package yokebar.app.sources.rotor;

import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.rotor.RotorState;

/**
 * A rotator as the interface shows it.
 *
 * @param hookup the coupling that has its link's state
 * @param toleranceDegrees it may rest so far from where it was sent
 * @param headingDegrees where the antenna points, degrees true; null while it is not connected
 * @param elevationDegrees above the horizon; null when it has none
 * @param targetDegrees the heading it is on the way to; null when on no way
 * @param arrivesInSeconds how long the rest of the way takes at the speed it turns at; null before that is known
 */
public record RotorView(
        long id,
        String hookup,
        String name,
        String address,
        @Nullable Integer baud,
        double stopDegrees,
        double travelDegrees,
        double mountOffsetDegrees,
        double toleranceDegrees,
        String deadZones,
        List<RotorPreset> presets,
        @Nullable Double headingDegrees,
        @Nullable Double elevationDegrees,
        @Nullable Double targetDegrees,
        @Nullable Integer arrivesInSeconds) {

    static RotorView of(RotorRow row, RotorState state) {
        return new RotorView(
                row.number(),
                Rotor.hookupId(row.number()),
                row.name,
                row.address,
                row.baud,
                row.stopDegrees,
                row.travelDegrees,
                row.mountOffsetDegrees,
                row.toleranceDegrees,
                row.deadZones,
                RotorPreset.read(row.presets),
                state.headingDegrees(),
                state.elevationDegrees(),
                state.targetDegrees(),
                state.arrivesInSeconds());
    }
}
