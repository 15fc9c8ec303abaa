package yokebar.core.sources.radio;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Signal;
import yokebar.core.basics.mode.ModeGroup;

/** What a radio would fill if it were keyed now. Widths are what is usual for a mode, Hz. */
public final class Emission {
    private static final int SIDEBAND_HZ = 2700;
    private static final int CW_HZ = 200;
    private static final int KEYED_HZ = 400;
    private static final int AM_HZ = 6000;
    private static final int FM_HZ = 12_000;

    private Emission() {}

    /** Null while the radio has not said where and how it would transmit. */
    public static @Nullable Signal of(RadioState state) {
        Long hz = state.transmitHz();
        RadioMode mode = state.mode();
        if (hz == null || mode == null) {
            return null;
        }
        return switch (mode) {
            case LSB, DATA_L -> signal(hz - SIDEBAND_HZ, hz, mode, state);
            case USB, DATA_U -> signal(hz, hz + SIDEBAND_HZ, mode, state);
            case CW, CW_REVERSE -> around(hz, CW_HZ, mode, state);
            case RTTY, RTTY_REVERSE -> around(hz, KEYED_HZ, mode, state);
            case AM -> around(hz, AM_HZ, mode, state);
            case FM, DATA_FM -> around(hz, FM_HZ, mode, state);
        };
    }

    private static Signal around(long hz, int width, RadioMode mode, RadioState state) {
        return signal(hz - width / 2, hz + width / 2, mode, state);
    }

    private static Signal signal(long low, long high, RadioMode mode, RadioState state) {
        return new Signal(low, high, group(mode), state.powerW());
    }

    /** What is said with a mode of a radio. */
    public static ModeGroup group(RadioMode mode) {
        return switch (mode) {
            case CW, CW_REVERSE -> ModeGroup.CW;
            case LSB, USB, AM, FM -> ModeGroup.PHONE;
            default -> ModeGroup.DIGITAL;
        };
    }
}
