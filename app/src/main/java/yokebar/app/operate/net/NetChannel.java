package yokebar.app.operate.net;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Station;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.channel.Channel;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.contact.PropagationMode;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioMode;

/** Where a session is: on the frequency of its position's radio while that is near the net's, else where the net says. */
@Component
class NetChannel {
    private static final long MOVES_AT_MOST_HZ = 25_000;

    private final Positions positions;
    private final Station station;

    NetChannel(Positions positions, Station station) {
        this.positions = positions;
        this.station = station;
    }

    /**
     * A frequency with what is known of it.
     *
     * @param frequencyHz own transmit frequency; null when nothing is known
     * @param mode as ADIF has it, a submode where there is one
     * @param powerW the power the radio is set to; null without a radio
     * @param travels how contacts on it travel; null when directly
     * @param channel the known repeater or satellite; null when it is none
     */
    record At(
            @Nullable Long frequencyHz,
            boolean fromRadio,
            @Nullable String mode,
            @Nullable Integer powerW,
            @Nullable PropagationMode travels,
            @Nullable Channel channel) {

        /** How contacts on it travel, such as {@code repeater Pico}. */
        String way() {
            return channel != null ? channel.words() : travels != null ? travels.words() : "direct";
        }

        /** Such as {@code 145.700 MHz FM, repeater Pico}. */
        String words() {
            String frequency = frequencyHz == null ? "No frequency noted" : "%.3f MHz".formatted(frequencyHz / 1e6);
            return frequency + (mode == null ? "" : " " + mode) + ", " + way();
        }
    }

    At of(NetSessionRow session) {
        RadioCompletion.Reading radio = positions.reading(session.positionId).orElse(null);
        Long hz = radio == null ? null : radio.state().transmitHz();
        if (radio == null || hz == null || !isNear(session, hz)) {
            return at(session, session.frequencyHz, false, session.mode, null);
        }
        RadioMode set = radio.state().mode();
        Mode mode = set == null ? null : radio.mapping().toLog(set, hz);
        return at(
                session,
                hz,
                true,
                mode == null ? session.mode : mode.label(),
                radio.state().powerW());
    }

    /** Whether a radio there may be in the net: nets move a little; a radio far away is used for something else. */
    private static boolean isNear(NetSessionRow session, long hz) {
        return Band.of(hz) != null
                && (session.frequencyHz == null || Math.abs(hz - session.frequencyHz) <= MOVES_AT_MOST_HZ);
    }

    private At at(
            NetSessionRow session,
            @Nullable Long hz,
            boolean fromRadio,
            @Nullable String mode,
            @Nullable Integer powerW) {
        Channel channel =
                hz == null ? null : station.preferences().knownChannels().at(hz).orElse(null);
        PropagationMode travels =
                session.travels != null ? session.travels : channel == null ? null : channel.propagation();
        return new At(
                hz,
                fromRadio,
                mode,
                powerW,
                travels,
                channel != null && channel.propagation() == travels ? channel : null);
    }
}
