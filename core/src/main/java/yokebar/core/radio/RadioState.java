package yokebar.core.radio;

import org.jspecify.annotations.Nullable;
import yokebar.core.band.Band;

/**
 * What a radio last reported. Nothing here is guessed: what was not reported is null.
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
        Vfo vfo,
        @Nullable RadioMode mode,
        boolean split,
        boolean transmitting,
        @Nullable Integer powerW,
        @Nullable Integer meter,
        @Nullable Integer bandwidthHz) {

    /** Before anything was reported. */
    public static final RadioState UNKNOWN = new RadioState(null, null, Vfo.A, null, false, false, null, null, null);

    /** The highest value of the meter. */
    public static final int METER_FULL = 30;

    /** The frequency received on, Hz, or null. */
    public @Nullable Long frequencyHz() {
        return of(vfo);
    }

    /** The frequency transmitted on, Hz, or null. */
    public @Nullable Long transmitHz() {
        return split ? of(vfo.other()) : of(vfo);
    }

    /** The amateur band received on, or null. */
    public @Nullable Band band() {
        Long hz = frequencyHz();
        return hz == null ? null : Band.of(hz);
    }

    private @Nullable Long of(Vfo which) {
        return which == Vfo.A ? vfoAHz : vfoBHz;
    }

    /** The state after one more report. */
    public RadioState with(RadioReport report) {
        if (report instanceof RadioReport.Frequency r) {
            return r.vfo() == Vfo.A
                    ? new RadioState(r.hz(), vfoBHz, vfo, mode, split, transmitting, powerW, meter, bandwidthHz)
                    : new RadioState(vfoAHz, r.hz(), vfo, mode, split, transmitting, powerW, meter, bandwidthHz);
        }
        if (report instanceof RadioReport.Receiving r) {
            return new RadioState(vfoAHz, vfoBHz, r.vfo(), mode, split, transmitting, powerW, meter, bandwidthHz);
        }
        if (report instanceof RadioReport.ModeIs r) {
            return new RadioState(vfoAHz, vfoBHz, vfo, r.mode(), split, transmitting, powerW, meter, bandwidthHz);
        }
        if (report instanceof RadioReport.SplitIs r) {
            return new RadioState(vfoAHz, vfoBHz, vfo, mode, r.on(), transmitting, powerW, meter, bandwidthHz);
        }
        if (report instanceof RadioReport.Transmitting r) {
            return new RadioState(vfoAHz, vfoBHz, vfo, mode, split, r.on(), powerW, meter, bandwidthHz);
        }
        if (report instanceof RadioReport.PowerIs r) {
            return new RadioState(vfoAHz, vfoBHz, vfo, mode, split, transmitting, r.watts(), meter, bandwidthHz);
        }
        if (report instanceof RadioReport.Meter r) {
            return new RadioState(vfoAHz, vfoBHz, vfo, mode, split, transmitting, powerW, r.value(), bandwidthHz);
        }
        if (report instanceof RadioReport.Bandwidth r) {
            return new RadioState(vfoAHz, vfoBHz, vfo, mode, split, transmitting, powerW, meter, r.hz());
        }
        return this;
    }
}
