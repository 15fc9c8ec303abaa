package yokebar.core.spot;

import java.util.Locale;
import java.util.StringTokenizer;
import org.jspecify.annotations.Nullable;
import yokebar.core.band.Band;
import yokebar.core.band.BandPlan;
import yokebar.core.band.Segment;
import yokebar.core.mode.Mode;
import yokebar.core.mode.Modes;
import yokebar.core.radio.ModeMapping;
import yokebar.core.radio.RadioMode;

/** The mode of a spot, which cluster lines do not say: what the comment names, else what is usual at the frequency. */
public final class ModeGuess {
    private static final ModeMapping MAPPING = new ModeMapping(false);

    private ModeGuess() {}

    /**
     * @param frequencyHz where it was heard, Hz
     * @param plan of the region the operator is in
     * @return null when neither tells, such as outside all bands
     */
    public static @Nullable Mode of(long frequencyHz, String comment, BandPlan plan) {
        Mode named = named(comment);
        if (named != null) {
            return named;
        }
        if (Band.of(frequencyHz) == null) {
            return null;
        }
        Mode gathering = MAPPING.toLog(RadioMode.DATA_U, frequencyHz);
        if (gathering != null) {
            return gathering;
        }
        Segment segment = plan.at(frequencyHz);
        if (segment == null) {
            return null;
        }
        return switch (segment.use()) {
            case CW, BEACONS -> new Mode("CW", null);
            case ALL -> MAPPING.toLog(ModeMapping.phoneSideband(frequencyHz), frequencyHz);
            case FM, REPEATERS_IN, REPEATERS_OUT -> new Mode("FM", null);
            // Narrow digital modes are many; to guess one of them would be to invent it.
            default -> null;
        };
    }

    private static @Nullable Mode named(String comment) {
        StringTokenizer words = new StringTokenizer(comment.toUpperCase(Locale.ROOT), " ,;.:()[]<>");
        while (words.hasMoreTokens()) {
            String word = words.nextToken();
            if (word.length() >= 2) {
                Mode mode = Modes.read(word, null);
                if (mode != null) {
                    return mode;
                }
            }
        }
        return null;
    }
}
