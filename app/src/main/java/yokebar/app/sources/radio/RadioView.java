package yokebar.app.sources.radio;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.sources.radio.Emission;
import yokebar.core.sources.radio.ModeMapping;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.sources.share.RadioShare;

/**
 * A radio as the interface shows it.
 *
 * @param hookup the coupling that has its link's state
 * @param sharePort where other programs find it; null when it is not shared
 * @param shareProblem why it is not shared though it should be
 * @param shareTransmit whether programs at that port may transmit
 * @param sendTexts whether it sends texts for the operator
 * @param sendingText what it sends for the operator now; null when it sends no text
 * @param textProblem why the last text in radioteletype was not sent to its end; empty when it was
 * @param keyingLimitS no transmission through Yokebar is longer, s
 * @param rotorId the rotator that turns its antenna; null for the first that can
 * @param programs those that use it now
 * @param incidents what programs at that port did or were refused lately, the newest first
 * @param cutOff when the limit last ended a transmission, UTC; null when it did not since the radio was set up
 * @param now what it last reported; null while it is not connected
 */
public record RadioView(
        long id,
        String hookup,
        String name,
        String dialect,
        String address,
        @Nullable Integer baud,
        int bus,
        int fullPowerW,
        int pollEveryMs,
        boolean lowerSidebandKeyed,
        @Nullable Integer sharePort,
        @Nullable String shareProblem,
        boolean shareTransmit,
        boolean sendTexts,
        @Nullable String sendingText,
        String textProblem,
        int keyingLimitS,
        @Nullable Long rotorId,
        List<Program> programs,
        List<Incident> incidents,
        @Nullable Instant cutOff,
        @Nullable Now now) {

    /**
     * What a radio last reported.
     *
     * @param frequencyHz received on, Hz
     * @param transmitHz transmitted on, Hz
     * @param band the amateur band received on; null outside of all
     * @param mode as the radio calls it, such as {@code DATA-U}
     * @param modeGroup what is said with it
     * @param logMode what would be logged; null when the radio cannot tell
     * @param powerW it is set to, W
     * @param meter 0 to 30
     * @param bandwidthHz of the receive filter
     */
    public record Now(
            long frequencyHz,
            @Nullable Long transmitHz,
            @Nullable String band,
            @Nullable String mode,
            @Nullable ModeGroup modeGroup,
            @Nullable String logMode,
            Vfo vfo,
            @Nullable Boolean split,
            @Nullable Boolean transmitting,
            @Nullable Integer powerW,
            @Nullable Integer meter,
            @Nullable Integer bandwidthHz) {}

    /**
     * A program that uses the radio through its sharing port.
     *
     * @param keys whether it transmits now
     * @param lastKeyed when it last began to transmit, UTC; null when it never did
     */
    public record Program(String address, Instant since, boolean keys, @Nullable Instant lastKeyed) {}

    /**
     * Something a program at the sharing port did or was refused.
     *
     * @param address host and port of the program
     * @param sentence what happened, and why
     */
    public record Incident(Instant at, RadioShare.Kind kind, String address, String sentence) {}

    static RadioView of(Radio radio) {
        RadioRow row = radio.row();
        return new RadioView(
                row.number(),
                Radio.hookupId(row.number()),
                row.name,
                row.dialect,
                row.address,
                row.baud,
                row.bus,
                row.fullPowerW,
                row.pollEveryMs,
                row.lowerSidebandKeyed,
                row.sharePort,
                radio.sharing().problem(),
                row.shareTransmit,
                row.sendTexts,
                radio.sendingText(),
                radio.textProblem(),
                row.keyingLimitS,
                row.rotorId,
                radio.sharing().programs(),
                radio.sharing().incidents(),
                radio.cutOff(),
                now(radio.state(), new ModeMapping(row.lowerSidebandKeyed)));
    }

    private static @Nullable Now now(RadioState state, ModeMapping mapping) {
        Long hz = state.frequencyHz();
        if (hz == null || state.vfo() == null) {
            return null;
        }
        Band band = state.band();
        Mode logged = state.mode() == null ? null : mapping.toLog(state.mode(), hz);
        return new Now(
                hz,
                state.transmitHz(),
                band == null ? null : band.adifName(),
                state.mode() == null ? null : state.mode().label(),
                state.mode() == null ? null : Emission.group(state.mode()),
                logged == null ? null : logged.label(),
                state.vfo(),
                state.split(),
                state.transmitting(),
                state.powerW(),
                state.meter(),
                state.bandwidthHz());
    }
}
