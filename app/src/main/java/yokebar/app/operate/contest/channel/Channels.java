package yokebar.app.operate.contest.channel;

import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.sources.text.TextPrograms;
import yokebar.app.station.position.Positions;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.WrittenFrequency;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.operate.contest.ContestMode;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioMode;

/** Finds out where a line is made: by the radio of the position, else by what was typed. */
@Service
public class Channels {
    /** A line that waited longer was made where the radio was then. */
    private static final long LATE_MS = 5_000;

    private final Positions positions;
    private final TextPrograms decoders;

    Channels(Positions positions, TextPrograms decoders) {
        this.positions = positions;
        this.decoders = decoders;
    }

    /**
     * What is said where there is no radio, or where it was when the line was typed.
     *
     * @param frequency as people write it, in kHz or MHz
     * @param agoMs how long ago the line was sent off, ms
     */
    public record Typed(@Nullable Long positionId, @Nullable String frequency, @Nullable String mode, long agoMs) {}

    /** @param modes of the contest */
    public Channel of(Typed typed, Supplier<Set<ContestMode>> modes) {
        Channel given = given(typed);
        RadioCompletion.Reading radio = positions.reading(typed.positionId()).orElse(null);
        Long hz = radio == null ? null : radio.state().transmitHz();
        if (radio == null || hz == null || typed.agoMs() > LATE_MS && given.band() != null) {
            return given;
        }
        RadioMode set = radio.state().mode();
        Mode mode =
                set == null ? null : ContestMode.meant(radio.mapping().toLog(set, hz), modes.get(), decoders.anyLive());
        return new Channel(hz, Band.of(hz), mode, true);
    }

    /** Where contacts were made that stand on paper: what is said counts, wherever a radio is. */
    public static Channel given(Typed typed) {
        String frequency = typed.frequency() == null ? "" : typed.frequency().strip();
        Long hz = frequency.isEmpty() ? null : WrittenFrequency.read(frequency);
        Band band = hz == null ? null : Band.of(hz);
        Mode mode = typed.mode() == null ? null : Modes.read(typed.mode(), null);
        return new Channel(band == null ? null : hz, band, mode, false);
    }
}
