package yokebar.links.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.platform.wire.TcpAddress;
import yokebar.standins.device.HfRadio;
import yokebar.standins.port.FreePorts;

/** The driver against the simulated radio, over a real socket. */
class RadioLinkTest {
    private HfRadio radio;
    private RadioLink link;
    private final Set<Long> heard = ConcurrentHashMap.newKeySet();

    @BeforeEach
    void connect() throws IOException {
        radio = new HfRadio(0);
        link = to(new TcpAddress("127.0.0.1", radio.port()));
        link.start();
        await("a frequency", () -> link.state().frequencyHz() != null);
    }

    private RadioLink to(DeviceAddress address) {
        return new RadioLink(
                "Petrel 100",
                address,
                SemicolonCat::new,
                RadioLink.Habits.STANDARD,
                Clock.systemUTC(),
                RadioLink.Listeners.of(
                        state -> {
                            if (state.frequencyHz() != null) {
                                heard.add(state.frequencyHz());
                            }
                        },
                        status -> {}));
    }

    @AfterEach
    void disconnect() {
        link.close();
        radio.close();
    }

    private boolean on(long hz) {
        return Objects.equals(link.state().frequencyHz(), hz);
    }

    @Test
    void whatTheRadioIsSetToIsKnown() {
        await(
                "all of it",
                () -> link.state().powerW() != null
                        && link.state().meter() != null
                        && link.state().bandwidthHz() != null
                        && link.state().mode() == RadioMode.DATA_U);
        RadioState state = link.state();
        assertThat(state.frequencyHz()).isEqualTo(14_074_000);
        assertThat(state.powerW()).isEqualTo(100);
        assertThat(state.bandwidthHz()).isEqualTo(2400);
        assertThat(link.status().state()).isEqualTo(LinkState.LIVE);
    }

    @Test
    void theKnobIsFollowed() {
        radio.front().turn(-250);
        await("the knob", () -> on(14_073_750));
        radio.front().setMode("CW");
        radio.front().setData(false);
        radio.front().key(true);
        radio.front().setSplit(true);
        await(
                "mode, key and split",
                () -> link.state().mode() == RadioMode.CW
                        && link.state().isTransmitting()
                        && link.state().isSplit());
    }

    @Test
    void commandsAreCarriedOut() {
        link.tell(new RadioCommand.Tune(Vfo.A, 7_010_000));
        link.tell(new RadioCommand.SetMode(RadioMode.CW));
        link.tell(new RadioCommand.SetPower(20));
        await(
                "the radio",
                () -> radio.front().frequencyHz() == 7_010_000
                        && radio.front().mode().equals("CW")
                        && !radio.front().data()
                        && radio.front().powerW() == 20);
        await(
                "its reports",
                () -> on(7_010_000)
                        && link.state().mode() == RadioMode.CW
                        && Objects.equals(link.state().powerW(), 20));
    }

    @Test
    void aTextIsKeyedForWhoMayTransmitAndForNobodyWhoStopped() {
        assertThat(link.keying().pressForText(this)).isEqualTo(Keying.Answer.YES);
        link.tell(new RadioCommand.SendText("tu"));
        await("the keyer", () -> radio.front().keyedText().equals("TU "));
        link.keying().release(this);
        await("it receives", () -> !link.keying().wantsReceive());
        assertThat(link.tell(new RadioCommand.SendText("late")))
                .succeedsWithin(Duration.ofSeconds(10))
                .isEqualTo(CommandOutcome.DROPPED);
        assertThat(radio.front().keyedText()).isEqualTo("TU ");
    }

    @Test
    void aFrequencyTheRadioDoesNotTakeIsNeverShown() {
        link.tell(new RadioCommand.Tune(Vfo.A, 145_500_000));
        link.tell(new RadioCommand.Tune(Vfo.A, 14_060_000));
        await("the possible one", () -> on(14_060_000));
        assertThat(heard).doesNotContain(145_500_000L);
    }

    @Test
    void unpluggedItIsMissedAndPluggedInItComesBack() throws IOException {
        radio.setPlugged(false);
        await("trouble", () -> link.status().state() == LinkState.TROUBLE);
        assertThat(link.state()).isEqualTo(RadioState.UNKNOWN);
        assertThat(link.status().reason()).contains("Petrel 100");
        assertThat(link.status().nextAttempt()).isNotNull();
        radio.setPlugged(true);
        link.hurry();
        await("the radio again", () -> on(14_074_000) && link.status().state() == LinkState.LIVE);
        assertThat(link.status().attempt()).isZero();
    }

    @Test
    void switchedOffItDoesNotAnswer() {
        radio.setPowered(false);
        await("silence", () -> link.status().state() == LinkState.TROUBLE);
        assertThat(link.status().brief()).isEqualTo("no answer");
        assertThat(link.status().reason()).isEqualTo("Petrel 100 does not answer on 127.0.0.1:" + radio.port() + ".");
        radio.setPowered(true);
        await("the radio again", () -> link.status().state() == LinkState.LIVE);
    }

    @Test
    void noiseIsCalledNoiseAndNoneOfItIsAFrequency() {
        heard.clear();
        radio.setGarbled(true);
        await("nonsense", () -> link.status().state() == LinkState.TROUBLE);
        assertThat(link.status().brief()).isEqualTo("answers make no sense");
        assertThat(heard).isSubsetOf(14_074_000L);
        radio.setGarbled(false);
        await("the radio again", () -> link.status().state() == LinkState.LIVE);
    }

    @Test
    void whereNothingListensAndWhereThereIsNoSuchHost() throws IOException {
        int free = FreePorts.tcp();
        try (RadioLink nobody = to(new TcpAddress("127.0.0.1", free));
                RadioLink nowhere = to(new TcpAddress("no-such-host.invalid", 4000))) {
            nobody.start();
            nowhere.start();
            await("refusal", () -> "connection refused".equals(nobody.status().brief()));
            await("no host", () -> "unknown host".equals(nowhere.status().brief()));
            assertThat(nobody.status().reason()).contains("nothing listens on port " + free);
        }
    }
}
