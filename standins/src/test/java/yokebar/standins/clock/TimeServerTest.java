package yokebar.standins.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.standins.MovingClock;

/** The time server, asked with packets as RFC 4330 has them. */
class TimeServerTest {
    private static final int CLIENT = 0x23;
    private static final long TO_1970 = 2_208_988_800L;
    private static final int TRANSMITTED = 40;

    private final MovingClock clock = new MovingClock();
    private TimeServer server;
    private DatagramSocket socket;

    @BeforeEach
    void open() throws IOException {
        server = new TimeServer(clock, 0);
        socket = new DatagramSocket(0, InetAddress.getLoopbackAddress());
        socket.setSoTimeout(10_000);
    }

    @AfterEach
    void close() {
        socket.close();
        server.close();
    }

    private ByteBuffer ask(int bytes) throws IOException {
        ByteBuffer question = ByteBuffer.allocate(bytes);
        question.put(0, (byte) CLIENT);
        if (bytes > TRANSMITTED) {
            question.putLong(TRANSMITTED, 0x0102030405060708L);
        }
        socket.send(new DatagramPacket(question.array(), bytes, InetAddress.getLoopbackAddress(), server.port()));
        byte[] answer = new byte[100];
        DatagramPacket packet = new DatagramPacket(answer, answer.length);
        socket.receive(packet);
        assertThat(packet.getLength()).isEqualTo(48);
        return ByteBuffer.wrap(answer);
    }

    private static Instant time(ByteBuffer answer, int at) {
        long seconds = Integer.toUnsignedLong(answer.getInt(at)) - TO_1970;
        long nanos = Integer.toUnsignedLong(answer.getInt(at + 4)) * 1_000_000_000L >>> 32;
        return Instant.ofEpochSecond(seconds, nanos);
    }

    @Test
    void itTellsTheTimeAndGivesBackTheAskersOwn() throws IOException {
        ByteBuffer answer = ask(48);
        assertThat(answer.get(0)).as("in step, version 4, a server").isEqualTo((byte) 0x24);
        assertThat(answer.get(1)).as("stratum").isEqualTo((byte) 2);
        assertThat(answer.getLong(24)).isEqualTo(0x0102030405060708L);
        assertThat(time(answer, 32)).isEqualTo(clock.instant());
        assertThat(time(answer, TRANSMITTED)).isEqualTo(clock.instant());
    }

    @Test
    void itsTimeCanBeWrong() throws IOException {
        server.setAhead(Duration.ofMillis(-1_500));
        assertThat(time(ask(48), TRANSMITTED)).isEqualTo(clock.instant().minusMillis(1_500));
        assertThat(server.state()).containsEntry("aheadMs", -1_500L);
    }

    @Test
    void outOfStepItSaysSo() throws IOException {
        server.setInStep(false);
        ByteBuffer answer = ask(48);
        assertThat(answer.get(0)).isEqualTo((byte) 0xE4);
        assertThat(answer.get(1)).isZero();
    }

    @Test
    void downItIsSilentAndWhatIsNoQuestionGetsNoAnswer() throws IOException {
        socket.setSoTimeout(200);
        assertThatThrownBy(() -> ask(12)).isInstanceOf(SocketTimeoutException.class);
        server.setUp(false);
        assertThatThrownBy(() -> ask(48)).isInstanceOf(SocketTimeoutException.class);
        server.setUp(true);
        socket.setSoTimeout(10_000);
        ask(48);
        assertThat(server.state()).containsEntry("up", true).containsEntry("asked", 1);
    }
}
