package yokebar.links.sources.share;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.wire.TcpAddress;
import yokebar.links.sources.radio.RadioLink;
import yokebar.links.sources.radio.SemicolonCat;
import yokebar.standins.device.HfRadio;

/** Programs at the shared radio, by plain sockets, with the simulated radio behind the driver. */
class RadioShareTest {
    private HfRadio radio;
    private RadioLink link;
    private RadioShare share;
    private volatile boolean mayTransmit = true;

    @BeforeEach
    void connect() throws IOException {
        radio = new HfRadio(0);
        link = linkTo(radio.port(), state -> {
            RadioShare open = share;
            if (open != null) {
                open.moved();
            }
        });
        await("the radio", () -> link.state().powerW() != null && link.state().mode() == RadioMode.DATA_U);
        share = shareOf(link);
    }

    private static RadioLink linkTo(int port, java.util.function.Consumer<RadioState> listener) {
        RadioLink link = new RadioLink(
                "Radio",
                new TcpAddress("127.0.0.1", port),
                SemicolonCat::new,
                RadioLink.Habits.STANDARD,
                Clock.systemUTC(),
                RadioLink.Listeners.of(listener, status -> {}));
        link.start();
        return link;
    }

    private RadioShare shareOf(RadioLink shared) throws IOException {
        return new RadioShare(new LinkedRadio(() -> shared, () -> mayTransmit), 0, Clock.systemUTC(), () -> {});
    }

    @AfterEach
    void disconnect() {
        share.close();
        link.close();
        radio.close();
    }

    @Test
    void severalReadAndAnyMayTune() throws IOException {
        try (Program one = new Program(share.port());
                Program other = new Program(share.port())) {
            assertThat(one.ask("FA;")).isEqualTo("FA00014074000;");
            assertThat(other.ask("IF;")).isEqualTo("IF00014074000     +000000 0002000000 ;");
            assertThat(other.ask("DA;")).isEqualTo("DA1;");
            assertThat(other.ask("PC;")).isEqualTo("PC100;");
            assertThat(one.ask("FA00007010000;FA;"))
                    .as("given back as set at once")
                    .isEqualTo("FA00007010000;");
            await("the radio", () -> radio.front().frequencyHz() == 7_010_000);
            one.say("MD3;DA0;");
            await("mode", () -> radio.front().mode().equals("CW"));
            await("both programs see it", () -> link.state().frequencyHz() == 7_010_000L);
            assertThat(other.ask("FA;")).isEqualTo("FA00007010000;");
            assertThat(share.clients()).hasSize(2);
        }
        await("they are gone", () -> share.clients().isEmpty());
    }

    @Test
    void oneKeysTheOtherIsRefusedAndADeadProgramLetsGo() throws IOException {
        try (Program other = new Program(share.port())) {
            Program one = new Program(share.port());
            one.say("TX;");
            await("keyed", () -> radio.front().transmitting());
            assertThat(share.clients().stream().filter(RadioShare.Client::keys)).hasSize(1);
            assertThat(other.ask("TX0;")).isEqualTo("?;");
            assertThat(other.ask("RX;")).isEqualTo("?;");
            assertThat(other.ask("FA00007010000;")).isEqualTo("?;");
            assertThat(radio.front().transmitting()).isTrue();
            one.close();
            await("released", () -> !radio.front().transmitting());
            await("reported", () -> !link.state().isTransmitting());
            other.say("TX;");
            await("now the other", () -> radio.front().transmitting());
            other.say("RX;");
            await("released again", () -> !radio.front().transmitting());
        }
    }

    @Test
    void netcatReadsToo() throws Exception {
        Process nc = new ProcessBuilder("nc", "-q", "1", "127.0.0.1", String.valueOf(share.port())).start();
        nc.getOutputStream().write("FA;".getBytes(StandardCharsets.US_ASCII));
        nc.getOutputStream().close();
        assertThat(new String(nc.getInputStream().readAllBytes(), StandardCharsets.US_ASCII))
                .isEqualTo("FA00014074000;");
        assertThat(nc.waitFor(5, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void whoAsksForItIsToldWhenTheKnobTurns() throws IOException {
        try (Program one = new Program(share.port())) {
            one.say("AI2;");
            assertThat(one.ask("AI;")).isEqualTo("AI2;");
            radio.front().turn(10);
            String heard = one.hear();
            while (!heard.equals("FA00014074010;")) {
                heard = one.hear();
            }
        }
    }

    @Test
    void nonsenseAndARadioThatIsGoneAreRefused() throws IOException {
        try (Program one = new Program(share.port())) {
            assertThat(one.ask("XY;")).isEqualTo("?;");
            assertThat(one.ask(";")).isEqualTo("?;");
            assertThat(one.ask("FAabc;")).isEqualTo("?;");
            assertThat(one.ask("FA14074;")).isEqualTo("?;");
            one.say("A".repeat(10_000) + ";");
            assertThat(one.hear()).isEqualTo("?;");
            radio.setPlugged(false);
            await("trouble", () -> link.status().state() == LinkState.TROUBLE);
            assertThat(one.ask("FA;")).isEqualTo("?;");
            assertThat(one.ask("TX;")).isEqualTo("?;");
            assertThat(one.ask("PS;")).isEqualTo("PS0;");
        }
    }

    @Test
    void theDriverOfAnotherYokebarCanUseIt() {
        try (RadioLink second = linkTo(share.port(), state -> {})) {
            await(
                    "through two",
                    () -> second.state().frequencyHz() != null && second.state().mode() == RadioMode.DATA_U);
            radio.front().turn(500);
            await("the knob", () -> second.state().frequencyHz() == 14_074_500L);
        }
    }
}
