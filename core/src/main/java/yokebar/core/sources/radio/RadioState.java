package yokebar.core.sources.radio;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;

/**
 * What a radio reported a moment ago. Nothing here is guessed: what was not reported, or too long ago, is null.
 *
 * @param vfoAHz frequency of VFO A, Hz
 * @param vfoBHz frequency of VFO B, Hz
 * @param vfo the one received on
 * @param mode of the VFO received on
 * @param split whether it transmits on the other VFO
 * @param transmitting whether it is keyed
 * @param powerW power it is set to, W
 * @param meter of the received signal or, while transmitting, of the power; 0 to 30
 * @param bandwidthHz width of the receive filter, Hz
 */
public record RadioState(
        @Nullable Long vfoAHz,
        @Nullable Long vfoBHz,
        @Nullable Vfo vfo,
        @Nullable RadioMode mode,
        @Nullable Boolean split,
        @Nullable Boolean transmitting,
        @Nullable Integer powerW,
        @Nullable Integer meter,
        @Nullable Integer bandwidthHz) {

    /** Nothing reported. */
    public static final RadioState UNKNOWN = new RadioState(null, null, null, null, null, null, null, null, null);

    /** The highest value of the meter. */
    public static final int METER_FULL = 30;

    /** The frequency received on, Hz, or null when it is unknown. */
    public @Nullable Long frequencyHz() {
        return vfo == null ? null : of(vfo);
    }

    /** The frequency transmitted on, Hz, or null when it is unknown. */
    public @Nullable Long transmitHz() {
        return vfo == null || split == null ? null : of(split ? vfo.other() : vfo);
    }

    /** The amateur band received on, or null. */
    public @Nullable Band band() {
        Long hz = frequencyHz();
        return hz == null ? null : Band.of(hz);
    }

    /** Whether it reported that it transmits. */
    public boolean isTransmitting() {
        return Boolean.TRUE.equals(transmitting);
    }

    /** Whether it reported that it transmits on the other VFO. */
    public boolean isSplit() {
        return Boolean.TRUE.equals(split);
    }

    /** The frequency of one VFO, Hz, or null when it is unknown. */
    public @Nullable Long of(Vfo which) {
        return which == Vfo.A ? vfoAHz : vfoBHz;
    }

    /** The same without what changes all the time. */
    public RadioState withoutMeter() {
        return new RadioState(vfoAHz, vfoBHz, vfo, mode, split, transmitting, powerW, null, bandwidthHz);
    }
}
