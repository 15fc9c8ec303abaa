package yokebar.links.sources.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Clock;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TimeServerTest {
    private yokebar.standins.clock.TimeServer server;

    @BeforeEach
    void start() throws Exception {
        server = new yokebar.standins.clock.TimeServer(Clock.systemUTC(), 0);
    }

    @AfterEach
    void stop() {
        server.close();
    }

    private TimeServer asked() {
        return TimeServer.of("127.0.0.1:" + server.port());
    }

    @ParameterizedTest
    @ValueSource(longs = {0, 700, -2500, 86_400_000})
    void tellsHowFarTheClockIsOff(long ms) throws Exception {
        server.setAhead(Duration.ofMillis(ms));
        assertThat(asked().ask().offset().toMillis()).isCloseTo(ms, within(100L));
    }

    @Test
    void aServerOutOfStepIsNotBelieved() {
        server.setInStep(false);
        assertThatThrownBy(() -> asked().ask()).hasMessageContaining("not to be trusted");
    }

    /** Answers the questions as told: the time it takes, and what it says. */
    private static java.net.DatagramSocket fake(
            int answers, java.util.function.BiFunction<byte[], Integer, byte[]> answer) throws Exception {
        java.net.DatagramSocket socket = new java.net.DatagramSocket(0, java.net.InetAddress.getLoopbackAddress());
        Thread thread = new Thread(() -> {
            try {
                for (int i = 0; i < answers; i++) {
                    byte[] bytes = new byte[48];
                    java.net.DatagramPacket packet = new java.net.DatagramPacket(bytes, bytes.length);
                    socket.receive(packet);
                    byte[] said = answer.apply(bytes, i);
                    socket.send(new java.net.DatagramPacket(said, said.length, packet.getSocketAddress()));
                }
            } catch (java.io.IOException e) {
                // Closed.
            }
        });
        thread.setDaemon(true);
        thread.start();
        return socket;
    }

    private static byte[] ntp(byte[] question, long receivedMs, long sentMs) {
        java.nio.ByteBuffer packet = java.nio.ByteBuffer.allocate(48);
        packet.put((byte) 0x24).put((byte) 2);
        packet.position(24);
        packet.put(question, 40, 8);
        for (long ms : new long[] {receivedMs, sentMs}) {
            packet.putInt((int) (ms / 1000 + 2_208_988_800L)).putInt((int) ((ms % 1000) * 4_294_967_296L / 1000));
        }
        return packet.array();
    }

    @Test
    void quickestOfSeveralSamplesIsKeptAndTheRoundTripTakenOff() throws Exception {
        try (java.net.DatagramSocket slow = fake(4, (question, i) -> {
            long received = System.currentTimeMillis() + 5000;
            if (i != 2) {
                // On the way back it takes long, which spoils what the offset seems to be.
                yokebar.links.LinkWatch.pause(1000);
            }
            return ntp(question, received, received);
        })) {
            TimeServer.Answer answer =
                    TimeServer.of("127.0.0.1:" + slow.getLocalPort()).ask();
            assertThat(answer.samples()).isEqualTo(4);
            assertThat(answer.roundTrip()).isLessThan(Duration.ofMillis(900));
            assertThat(answer.offset().toMillis()).isCloseTo(5000, within(400L));
        }
    }

    @Test
    void aSenselessAnswerIsRefused() throws Exception {
        try (java.net.DatagramSocket echo = fake(4, (question, i) -> question);
                java.net.DatagramSocket zeros = fake(4, (question, i) -> new byte[48])) {
            for (java.net.DatagramSocket one : java.util.List.of(echo, zeros)) {
                assertThatThrownBy(() ->
                                TimeServer.of("127.0.0.1:" + one.getLocalPort()).ask())
                        .hasMessageContaining("not an answer of a time server");
            }
        }
    }

    @Test
    void silence() {
        server.setUp(false);
        assertThatThrownBy(() -> asked().ask()).hasMessageContaining("does not answer");
    }

    @Test
    void addressesAreRead() {
        assertThat(TimeServer.of(" time.example.org ")).isEqualTo(new TimeServer("time.example.org", 123));
        assertThat(TimeServer.of("127.0.0.1:7405").words()).isEqualTo("127.0.0.1:7405");
        assertThat(TimeServer.of("a.b").words()).isEqualTo("a.b");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a b", "host:0", "host:99999", "host:x", "::1"})
    void othersAreRefusedWithASentence(String text) {
        assertThatThrownBy(() -> TimeServer.of(text)).hasMessageContaining("is not a time server");
    }
}
