package yokebar.core.sources.radio;

import java.util.Map;
import java.util.OptionalLong;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.platform.data.DataLines;

/**
 * What a radio's mode means in the log, and the other way round. A radio with the sound of a program on it cannot know which
 * mode the program speaks, but on a frequency where everybody speaks one mode that one is meant.
 *
 * @param lowerSidebandIsKeyed whether lower sideband without data is used for sound-keyed radioteletype on this radio
 */
public record ModeMapping(boolean lowerSidebandIsKeyed) {
    private static final TreeMap<Long, Gathering> GATHERINGS = load();
    /** Below it phone is on lower sideband, above on upper: the custom everywhere. */
    private static final long SIDEBAND_CHANGES_HZ = 10_000_000;
    /** On 60 m phone is on upper sideband, as the channels of most countries have it. */
    private static final long CHANNELS_LOW_HZ = 5_000_000;

    private static final long CHANNELS_HIGH_HZ = 5_500_000;

    /** A piece of a band where one digital mode is used. */
    private record Gathering(long lowHz, long highHz, Mode mode) {}

    /**
     * The mode to log, or null when the radio cannot tell: with the sound of a program it may be any.
     *
     * @param frequencyHz the frequency transmitted on, Hz
     */
    public @Nullable Mode toLog(RadioMode mode, long frequencyHz) {
        return switch (mode) {
            case USB -> new Mode("SSB", "USB");
            case LSB ->
                lowerSidebandIsKeyed && isKeyedSegment(frequencyHz) ? new Mode("RTTY", null) : new Mode("SSB", "LSB");
            case CW, CW_REVERSE -> new Mode("CW", null);
            case AM -> new Mode("AM", null);
            case FM -> new Mode("FM", null);
            case RTTY, RTTY_REVERSE -> new Mode("RTTY", null);
            case DATA_L, DATA_U, DATA_FM -> {
                Gathering gathering = gathering(frequencyHz);
                yield gathering == null ? null : gathering.mode();
            }
        };
    }

    /**
     * The radio mode to use for a mode of the log.
     *
     * @param frequencyHz where it will be used, Hz
     */
    public RadioMode toRadio(Mode mode, long frequencyHz) {
        return switch (mode.name()) {
            case "CW" -> RadioMode.CW;
            case "AM" -> RadioMode.AM;
            case "FM" -> RadioMode.FM;
            case "DIGITALVOICE" -> RadioMode.FM;
            case "RTTY" -> lowerSidebandIsKeyed ? RadioMode.LSB : RadioMode.RTTY;
            case "SSB" -> {
                if (mode.submode() != null) {
                    yield mode.submode().equals("LSB") ? RadioMode.LSB : RadioMode.USB;
                }
                yield phoneSideband(frequencyHz);
            }
            default -> RadioMode.DATA_U;
        };
    }

    /** Where most digital traffic of a band is, Hz: the dial for the mode that is used most. Empty where none is known. */
    public static OptionalLong digitalHz(Band band) {
        return GATHERINGS.values().stream()
                .filter(g -> g.lowHz() >= band.lowHz() && g.highHz() <= band.highHz())
                .filter(g -> g.mode().label().equals("FT8"))
                .mapToLong(Gathering::lowHz)
                .findFirst();
    }

    /** The sideband phone is on at a frequency in Hz. */
    public static RadioMode phoneSideband(long frequencyHz) {
        boolean channel = frequencyHz >= CHANNELS_LOW_HZ && frequencyHz <= CHANNELS_HIGH_HZ;
        return frequencyHz < SIDEBAND_CHANGES_HZ && !channel ? RadioMode.LSB : RadioMode.USB;
    }

    private static boolean isKeyedSegment(long frequencyHz) {
        Gathering gathering = gathering(frequencyHz);
        return gathering != null && gathering.mode().name().equals("RTTY");
    }

    private static @Nullable Gathering gathering(long frequencyHz) {
        Map.Entry<Long, Gathering> below = GATHERINGS.floorEntry(frequencyHz);
        return below != null && frequencyHz <= below.getValue().highHz() ? below.getValue() : null;
    }

    private static TreeMap<Long, Gathering> load() {
        TreeMap<Long, Gathering> gatherings = new TreeMap<>();
        for (DataLines.Line line : DataLines.beside(ModeMapping.class, "digital-gatherings.txt")) {
            String[] parts = line.words();
            Gathering gathering = new Gathering(kiloHertz(parts[0]), kiloHertz(parts[1]), mode(line, parts[2]));
            if (gatherings.put(gathering.lowHz(), gathering) != null) {
                throw new DataLines.BadLine(line, "there are two gatherings from here");
            }
        }
        return gatherings;
    }

    private static long kiloHertz(String text) {
        return Math.round(Double.parseDouble(text) * 1000);
    }

    private static Mode mode(DataLines.Line line, String name) {
        Mode mode = Modes.read(name, null);
        if (mode == null) {
            throw new DataLines.BadLine(line, "there is no such mode");
        }
        return mode;
    }
}
