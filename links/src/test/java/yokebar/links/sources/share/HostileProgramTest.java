package yokebar.links.sources.share;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.net.SocketException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.links.fake.FakeRadio;
import yokebar.links.platform.wire.TcpAddress;
import yokebar.links.sources.radio.RadioLink;
import yokebar.links.sources.radio.SemicolonCat;

/** Programs at the shared radio that never read, die while transmitting, or are web pages. */
class HostileProgramTest {
    private FakeRadio radio;
    private RadioLink link;
    private RadioShare share;
    private volatile boolean mayTransmit = true;
    /** What the link told, and whether the radio transmitted already. */
    private final List<String> keyings = new CopyOnWriteArrayList<>();

    @BeforeEach
    void connect() throws IOException {
        radio = new FakeRadio();
        link = new RadioLink(
                "Fake",
                new TcpAddress("127.0.0.1", radio.port()),
                SemicolonCat::new,
                new RadioLink.Habits(RadioLink.POLL_EVERY, Duration.ofSeconds(1)),
                Clock.systemUTC(),
                new RadioLink.Listeners(state -> moved(), status -> {}, this::stopped, this::leftKeyed));
        share = new RadioShare(new LinkedRadio(() -> link, () -> mayTransmit), 0, Clock.systemUTC(), () -> {});
        link.start();
        await("all known", () -> link.state().mode() != null && link.state().transmitting() != null);
        await(
                "receive confirmed",
                () -> !link.keying().mayCommand(this) || radio.heard().size() > 5);
    }

    private void moved() {
        RadioShare open = share;
        if (open != null) {
            open.moved();
        }
    }

    private void stopped() {
        RadioShare open = share;
        Object who = link.keying().takeStopped();
        if (open != null && who != null) {
            open.stopped(who);
        }
    }

    private void leftKeyed(boolean on) {
        keyings.add((on ? "keyed" : "receives") + (radio.transmits() ? ", transmits" : ""));
    }

    @AfterEach
    void disconnect() {
        share.close();
        link.close();
        radio.close();
    }

    private Program program() throws IOException {
        return new Program(share.port());
    }

    @Test
    void programThatNeverReadsIsDroppedAndHarmsNobody() throws IOException {
        try (Program deaf = program();
                Program other = program()) {
            await("both are there", () -> share.clients().size() == 2);
            deaf.say("AI2;");
            Thread shouting = new Thread(() -> {
                try {
                    for (int i = 0; i < 2_000_000; i++) {
                        deaf.say("IF;FA;FB;MD;IF;FA;FB;MD;IF;FA;FB;MD;IF;FA;FB;MD;");
                    }
                } catch (IOException e) {
                    // Dropped, as it should be.
                }
            });
            shouting.setDaemon(true);
            shouting.start();
            await("it is dropped", () -> share.clients().size() == 1);
            assertThat(share.incidents().get(0).sentence()).contains("did not read");
            radio.turnTo(7_010_000);
            await("the radio is followed", () -> Objects.equals(link.state().frequencyHz(), 7_010_000L));
            other.say("FA;");
            assertThat(other.hear()).isEqualTo("FA00007010000;");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 20\r\n\r\n;TX;FA00007010000;TX;",
                "GET /;TX;TX; HTTP/1.1\r\nHost: x\r\n\r\n",
                "OPTIONS * HTTP/1.1\r\n\r\n;TX;",
                "PUT /x HTTP/1.1\r\n\r\n;TX;",
                "HEAD /;TX; HTTP/1.0\r\n\r\n;TX;",
                "\u0016\u0003\u0001;TX;TX;",
                "\u0000\u0001\u0000;TX;TX;"
            })
    void webRequestIsClosedAndNothingIsTakenFromIt(String request) throws IOException {
        radio.forgetHeard();
        try (Program page = program()) {
            page.say(request);
            assertThat(ended(page)).isTrue();
        }
        await("gone", () -> share.clients().isEmpty());
        assertThat(share.incidents().get(0).kind()).isEqualTo(RadioShare.Kind.DISCONNECTED);
        assertThat(radio.transmits()).isFalse();
        assertThat(radio.heard()).noneMatch(sentence -> sentence.startsWith("TX") || sentence.startsWith("FA0"));
    }

    @Test
    void webRequestInSmallPiecesIsClosedToo() throws Exception {
        try (Program page = program()) {
            for (char c : "POST /;TX;".toCharArray()) {
                page.say(String.valueOf(c));
                page.socket().getOutputStream().flush();
            }
            assertThat(ended(page)).isTrue();
        } catch (SocketException e) {
            // Closed before the last piece.
        }
        await("gone", () -> share.clients().isEmpty());
        assertThat(radio.transmits()).isFalse();
    }

    private static boolean ended(Program page) throws IOException {
        try {
            return page.socket().getInputStream().read() < 0;
        } catch (SocketException e) {
            return true;
        }
    }

    @Test
    void limitTellsTheProgramAndRefusesToBeKeyedAgainAtOnce() throws IOException {
        try (Program program = program()) {
            program.say("TX;");
            await("keyed", radio::transmits);
            assertThat(program.hear()).as("told that it receives again").isEqualTo("RX;");
            await("receiving", () -> !radio.transmits());
            program.say("TX;");
            assertThat(program.hear()).isEqualTo("?;");
            assertThat(share.incidents()).anyMatch(i -> i.kind() == RadioShare.Kind.CUT_OFF);
            assertThat(radio.longestMs()).isLessThan(2000);
        }
    }

    @Test
    void whoeverMustReleaseItAfterACrashIsToldBeforeItIsKeyed() throws IOException {
        try (Program program = program()) {
            keyings.clear();
            program.say("TX;");
            await("keyed", radio::transmits);
            program.say("RX;");
            await("told", () -> keyings.size() == 2);
            assertThat(keyings).containsExactly("keyed", "receives");
        }
    }

    @Test
    void programThatDiesWhileTheLineIsDownLeavesNothingTransmitting() throws Exception {
        Program program = program();
        program.say("TX;");
        await("keyed", radio::transmits);
        radio.accept(false);
        radio.dropLine();
        program.close();
        await("gone", () -> share.clients().isEmpty());
        radio.accept(true);
        await("receiving", () -> !radio.transmits());
    }

    @Test
    void withoutPermissionNobodyTransmitsAndTheOperatorSeesWhoAsked() throws IOException {
        mayTransmit = false;
        try (Program program = program()) {
            program.say("TX;");
            assertThat(program.hear()).isEqualTo("?;");
            program.say("KY CQ;");
            assertThat(program.hear()).isEqualTo("?;");
            assertThat(radio.transmits()).isFalse();
            assertThat(share.incidents().get(0).kind()).isEqualTo(RadioShare.Kind.NOT_ALLOWED);
            assertThat(share.incidents().get(0).address())
                    .contains(":" + program.socket().getLocalPort());
        }
    }

    @Test
    void keyedTextEndsTheRightOfItsProgramWhenItIsOver() throws IOException {
        try (Program one = program();
                Program other = program()) {
            one.say("KY TEST DE CU9QYB;");
            await("sent", () -> radio.heard().stream().anyMatch(s -> s.startsWith("KY TEST")));
            other.say("FA00007010000;");
            assertThat(other.hear()).as("while the text goes out").isEqualTo("?;");
            await("over", () -> share.clients().stream().noneMatch(RadioShare.Client::keys));
            other.say("FA00007010000;FA;");
            assertThat(other.hear()).isEqualTo("FA00007010000;");
        }
    }

    @Test
    void outOfRangeIsRefusedToTheProgram() throws IOException {
        try (Program one = program()) {
            one.say("FA00145000000;");
            assertThat(one.hear()).isEqualTo("?;");
            one.say("FA;");
            assertThat(one.hear()).isEqualTo("FA00014025000;");
        }
    }
}
