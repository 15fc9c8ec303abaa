package yokebar.app.operate.net;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.app.station.position.Positions;
import yokebar.app.station.profile.Preferences;
import yokebar.app.station.profile.Station;
import yokebar.core.basics.channel.Channels;
import yokebar.core.log.contact.PropagationMode;
import yokebar.core.sources.radio.ModeMapping;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;

class NetChannelTest {
    private final Positions positions = mock(Positions.class);
    private final Station station = mock(Station.class);
    private final NetChannel channel = new NetChannel(positions, station);
    private final NetSessionRow session = new NetSessionRow();

    @BeforeEach
    void anHfNet() {
        Preferences preferences = mock(Preferences.class);
        when(preferences.knownChannels()).thenReturn(Channels.read("145.600 repeater Pico"));
        when(station.preferences()).thenReturn(preferences);
        session.frequencyHz = 14_285_000L;
        session.mode = "SSB";
        radioAt(null);
    }

    private void radioAt(Long hz) {
        RadioState state = new RadioState(hz, null, Vfo.A, RadioMode.USB, false, false, 80, null, null);
        when(positions.reading(any()))
                .thenReturn(
                        hz == null
                                ? Optional.empty()
                                : Optional.of(new RadioCompletion.Reading(1, state, new ModeMapping(false))));
    }

    @Test
    void withoutARadioItIsWhereTheNetSays() {
        NetChannel.At at = channel.of(session);
        assertThat(at.frequencyHz()).isEqualTo(14_285_000L);
        assertThat(at.fromRadio()).isFalse();
        assertThat(at.words()).isEqualTo("14.285 MHz SSB, direct");
    }

    @Test
    void aNetThatMovesALittleIsFollowed() {
        radioAt(14_290_500L);
        NetChannel.At at = channel.of(session);
        assertThat(at.frequencyHz()).isEqualTo(14_290_500L);
        assertThat(at.fromRadio()).isTrue();
        assertThat(at.powerW()).isEqualTo(80);
    }

    @Test
    void aRadioElsewhereOnTheBandIsNotInTheNet() {
        radioAt(14_074_000L);
        assertThat(channel.of(session).frequencyHz()).isEqualTo(14_285_000L);
        assertThat(channel.of(session).powerW()).isNull();
    }

    @Test
    void aNetWithoutAFrequencyIsWhereTheRadioIs() {
        session.frequencyHz = null;
        radioAt(7_085_000L);
        assertThat(channel.of(session).frequencyHz()).isEqualTo(7_085_000L);
    }

    @Test
    void howItsContactsTravelComesFromTheNetElseFromTheKnownChannels() {
        session.frequencyHz = 145_600_000L;
        assertThat(channel.of(session).way()).isEqualTo("repeater Pico");
        session.travels = PropagationMode.ECH;
        assertThat(channel.of(session).way()).isEqualTo("linked repeaters");
        assertThat(channel.of(session).travels()).isEqualTo(PropagationMode.ECH);
    }
}
