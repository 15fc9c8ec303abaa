package yokebar.links.services.mail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.standins.mail.MailGateway;
import yokebar.standins.port.FreePorts;

class RadioMailTest {
    @TempDir
    private Path folder;

    /** Remembers what was acknowledged. */
    private static final class Watch implements RadioMail.Progress {
        private final List<Integer> arrived = new ArrayList<>();
        private final List<Integer> taken = new ArrayList<>();

        @Override
        public void arrived(RadioMail.Part part, int bytes) {
            arrived.add(bytes);
        }

        @Override
        public void taken(RadioMail.Part part) {
            taken.add(part.part());
        }

        @Override
        public boolean stopped() {
            return false;
        }
    }

    private static byte[] letter(int bytes) {
        byte[] letter = new byte[bytes];
        new Random(3).nextBytes(letter);
        return letter;
    }

    @Property(tries = 60)
    void whatIsCutIsTheWholeLetterAgain(@ForAll @IntRange(min = 0, max = 500_000) int bytes) {
        byte[] letter = letter(bytes);
        ByteArrayOutputStream joined = new ByteArrayOutputStream();
        List<RadioMail.Part> parts = RadioMail.cut("L1", letter);
        for (int i = 0; i < parts.size(); i++) {
            assertThat(parts.get(i).part()).isEqualTo(i + 1);
            assertThat(parts.get(i).parts()).isEqualTo(parts.size());
            assertThat(parts.get(i).content().length).isLessThanOrEqualTo(RadioMail.MAX_BYTES);
            joined.writeBytes(parts.get(i).content());
        }
        assertThat(joined.toByteArray()).isEqualTo(letter);
    }

    @Test
    void aBrokenSessionGoesOnWhereItStopped() throws Exception {
        byte[] letter = letter(250_000);
        List<byte[]> delivered = new ArrayList<>();
        try (MailGateway gateway = new MailGateway(folder, 0, (content, id) -> delivered.add(content))) {
            gateway.setBytesPerSecond(5_000_000);
            gateway.dropAfter(150_000);
            RadioMail mail = new RadioMail("127.0.0.1", gateway.port(), new Call("CU9QYB"));
            List<RadioMail.Part> parts = RadioMail.cut("L1", letter);
            Watch first = new Watch();
            assertThatThrownBy(() -> mail.send(parts, first))
                    .isInstanceOf(ServiceUnreachable.class)
                    .hasMessageContaining("ended the session");
            assertThat(first.taken).containsExactly(1);
            assertThat(delivered).isEmpty();
            Watch second = new Watch();
            mail.send(parts, second);
            assertThat(second.taken).containsExactly(1, 2, 3);
            assertThat(second.arrived.get(1)).as("goes on in the second part").isGreaterThan(20_000);
            assertThat(delivered).hasSize(1);
            assertThat(delivered.get(0)).isEqualTo(letter);
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "HELLO, THIS IS A PRINTER | does not answer as a radio mail gateway",
                "BOTTLEPOST 1/OK CU9QYB/WHAT | which is not what was asked",
                "BOTTLEPOST 1/OK CU9QYB/FROM -5 | which is not what was asked",
                "BOTTLEPOST 1/OK CU9QYB/FROM 0/GOT 999999 | which is not what was asked",
                "BOTTLEPOST 1/OK CU9QYB/FROM 100/GOT 100 | which is not what was asked",
                "BOTTLEPOST 1/OK CU9QYB/FROM x | which is not what was asked",
                "BOTTLEPOST 1/OK CU9QYB/HAVEN'T | which is not what was asked",
                "BOTTLEPOST 1/WHO ARE YOU | which is not what was asked",
                "BOTTLEPOST 1/OK CU9QYB/FROM 2999/GOT 3000/TAKEN 7 | which is not what was asked",
                "BOTTLEPOST 1 | ended the session",
            })
    void aGatewayThatTalksNonsenseIsNamed(String lines, String says) throws Exception {
        assertThatThrownBy(() -> against(lines))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining(says);
    }

    @Test
    void aRefusalIsSaidInTheGatewaysWords() {
        assertThatThrownBy(() -> against("BOTTLEPOST 1/NO this call is not known here"))
                .isInstanceOf(ServiceRefused.class)
                .hasMessage("The gateway says: this call is not known here.");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "BOTTLEPOST 1/OK CU9QYB/NO letters of this kind",
                "BOTTLEPOST 1/OK CU9QYB/FROM 2999/GOT 3000/NO letters of this kind"
            })
    void aLetterMayBeRefusedBeforeAndAfterItWasSent(String lines) {
        assertThatThrownBy(() -> against(lines))
                .isInstanceOf(ServiceRefused.class)
                .hasMessage("The gateway says: letters of this kind.");
    }

    @Test
    void whereNobodyListensItSaysSo() throws Exception {
        int port = FreePorts.tcp();
        assertThatThrownBy(() -> new RadioMail("127.0.0.1", port, new Call("CU9QYB"))
                        .send(RadioMail.cut("L1", letter(10)), new Watch()))
                .isInstanceOf(ServiceUnreachable.class)
                .hasMessageContaining("cannot be reached");
    }

    /** A session with somebody who says these lines, whatever is said to them, and hangs up. */
    private static void against(String lines) throws Exception {
        try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Thread gateway = new Thread(() -> {
                try (Socket socket = server.accept()) {
                    socket.getOutputStream()
                            .write((lines.replace("/", "\r\n") + "\r\n").getBytes(StandardCharsets.US_ASCII));
                    socket.shutdownOutput();
                    socket.getInputStream().readAllBytes();
                } catch (java.io.IOException e) {
                    throw new IllegalStateException(e);
                }
            });
            gateway.setDaemon(true);
            gateway.start();
            new RadioMail("127.0.0.1", server.getLocalPort(), new Call("CU9QYB"))
                    .send(RadioMail.cut("L1", letter(3000)), new Watch());
        }
    }
}
