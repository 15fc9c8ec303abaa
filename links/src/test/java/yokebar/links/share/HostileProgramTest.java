package yokebar.links.share;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.links.LinkWatch.await;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.Objects;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.links.fake.FakeRadio;
import yokebar.links.radio.RadioLink;
import yokebar.links.radio.SemicolonCat;
import yokebar.links.wire.TcpAddress;

/** Programs at the shared radio that never read, die while transmitting, or are web pages. */
class HostileProgramTest {
    private FakeRadio radio;
    private RadioLink link;
    private RadioShare share;
    private volatile boolean mayTransmit = true;

    @BeforeEach
    void connect() throws IOException {
        radio = new FakeRadio();
        link = new RadioLink(
                "Fake",
                new TcpAddress("127.0.0.1", radio.port()),
                SemicolonCat::new,
                new RadioLink.Habits(RadioLink.POLL_EVERY, Duration.ofSeconds(1)),
                Clock.systemUTC(),
                new RadioLink.Listeners(state -> moved(), status -> {}, this::stopped));
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

    @AfterEach
    void disconnect() {
        share.close();
        link.close();
        radio.close();
    }

    private Socket program() throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), share.port());
        socket.setSoTimeout(5000);
        return socket;
    }

    private static void say(Socket socket, String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
    }

    private static String hear(Socket socket) throws IOException {
        StringBuilder answer = new StringBuilder();
        InputStream in = socket.getInputStream();
        for (int b = in.read(); b >= 0; b = in.read()) {
            answer.append((char) b);
            if (b == ';') {
                break;
            }
        }
        return answer.toString();
    }

    @Test
    void programThatNeverReadsIsDroppedAndHarmsNobody() throws IOException {
        try (Socket deaf = program();
                Socket other = program()) {
            await("both are there", () -> share.clients().size() == 2);
            say(deaf, "AI2;");
            Thread shouting = new Thread(() -> {
                try {
                    for (int i = 0; i < 2_000_000; i++) {
                        say(deaf, "IF;FA;FB;MD;IF;FA;FB;MD;IF;FA;FB;MD;IF;FA;FB;MD;");
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
            say(other, "FA;");
            assertThat(hear(other)).isEqualTo("FA00007010000;");
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
        try (Socket page = program()) {
            say(page, request);
            assertThat(ended(page)).isTrue();
        }
        await("gone", () -> share.clients().isEmpty());
        assertThat(share.incidents().get(0).kind()).isEqualTo(RadioShare.Kind.DISCONNECTED);
        assertThat(radio.transmits()).isFalse();
        assertThat(radio.heard()).noneMatch(sentence -> sentence.startsWith("TX") || sentence.startsWith("FA0"));
    }

    @Test
    void webRequestInSmallPiecesIsClosedToo() throws Exception {
        try (Socket page = program()) {
            for (char c : "POST /;TX;".toCharArray()) {
                say(page, String.valueOf(c));
                page.getOutputStream().flush();
            }
            assertThat(ended(page)).isTrue();
        } catch (SocketException e) {
            // Closed before the last piece.
        }
        await("gone", () -> share.clients().isEmpty());
        assertThat(radio.transmits()).isFalse();
    }

    private static boolean ended(Socket page) throws IOException {
        try {
            return page.getInputStream().read() < 0;
        } catch (SocketException e) {
            return true;
        }
    }

    @Test
    void limitTellsTheProgramAndRefusesToBeKeyedAgainAtOnce() throws IOException {
        try (Socket program = program()) {
            say(program, "TX;");
            await("keyed", radio::transmits);
            assertThat(hear(program)).as("told that it receives again").isEqualTo("RX;");
            await("receiving", () -> !radio.transmits());
            say(program, "TX;");
            assertThat(hear(program)).isEqualTo("?;");
            assertThat(share.incidents()).anyMatch(i -> i.kind() == RadioShare.Kind.CUT_OFF);
            assertThat(radio.longestMs()).isLessThan(2000);
        }
    }

    @Test
    void programThatDiesWhileTheLineIsDownLeavesNothingTransmitting() throws Exception {
        Socket program = program();
        say(program, "TX;");
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
        try (Socket program = program()) {
            say(program, "TX;");
            assertThat(hear(program)).isEqualTo("?;");
            say(program, "KY CQ;");
            assertThat(hear(program)).isEqualTo("?;");
            assertThat(radio.transmits()).isFalse();
            assertThat(share.incidents().get(0).kind()).isEqualTo(RadioShare.Kind.NOT_ALLOWED);
            assertThat(share.incidents().get(0).address()).contains(":" + program.getLocalPort());
        }
    }

    @Test
    void keyedTextEndsTheRightOfItsProgramWhenItIsOver() throws IOException {
        try (Socket one = program();
                Socket other = program()) {
            say(one, "KY TEST;");
            await("sent", () -> radio.heard().stream().anyMatch(s -> s.startsWith("KY TEST")));
            say(other, "FA00007010000;");
            assertThat(hear(other)).as("while the text goes out").isEqualTo("?;");
            await("over", () -> share.clients().stream().noneMatch(RadioShare.Client::keys));
            say(other, "FA00007010000;FA;");
            assertThat(hear(other)).isEqualTo("FA00007010000;");
        }
    }

    @Test
    void outOfRangeIsRefusedToTheProgram() throws IOException {
        try (Socket one = program()) {
            say(one, "FA00145000000;");
            assertThat(hear(one)).isEqualTo("?;");
            say(one, "FA;");
            assertThat(hear(one)).isEqualTo("FA00014025000;");
        }
    }
}
