package yokebar.links.sources.datagram;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import yokebar.links.fake.MovingClock;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.standins.port.FreePorts;

class DatagramListenerTest {
    private final BlockingQueue<Datagram> received = new LinkedBlockingQueue<>();
    private final BlockingQueue<LinkStatus> states = new LinkedBlockingQueue<>();

    @Test
    void passesOnWhatComesInItsOrder() throws Exception {
        try (DatagramListener listener = listener(0, Clock.systemUTC())) {
            listener.start();
            awaitState(s -> s.state() == LinkState.LIVE);
            for (int i = 0; i < 100; i++) {
                send(listener.port(), "record " + i);
            }
            for (int i = 0; i < 100; i++) {
                Datagram datagram = received.poll(30, TimeUnit.SECONDS);
                assertThat(new String(datagram.content())).isEqualTo("record " + i);
                assertThat(datagram.sender().getAddress()).isEqualTo(InetAddress.getLoopbackAddress());
            }
            assertThat(listener.status().lastData()).isNotNull();
        }
        assertThat(awaitState(s -> s.state() == LinkState.OFF)).isNotNull();
    }

    @Test
    void aTakenPortIsTroubleWithItsNumberAndFixAndIsHadOnceFree() throws Exception {
        int port = FreePorts.udp();
        try (DatagramSocket other = new DatagramSocket(new InetSocketAddress(InetAddress.getLoopbackAddress(), port))) {
            DatagramListener listener = listener(port, Clock.systemUTC());
            listener.start();
            LinkStatus trouble = awaitState(s -> s.state() == LinkState.TROUBLE);
            assertThat(trouble.reason()).contains("UDP port " + port + " is in use");
            assertThat(trouble.fix()).contains("set THE_PORT.");
            assertThat(trouble.brief()).isEqualTo("port in use");
            assertThat(trouble.attempt()).isEqualTo(1);
            assertThat(trouble.nextAttempt()).isAfter(Instant.now());
            other.close();
            assertThat(awaitState(s -> s.state() == LinkState.LIVE).reason()).isNull();
            listener.close();
        }
    }

    @Test
    void silenceForLongIsQuiet() throws Exception {
        Instant start = Instant.parse("2026-05-01T12:00:00Z");
        MovingClock clock = new MovingClock(start);
        try (DatagramListener listener = listener(0, clock)) {
            listener.start();
            awaitState(s -> s.state() == LinkState.LIVE);
            clock.pass(Duration.ofMinutes(10));
            assertThat(listener.status().state()).isEqualTo(LinkState.LIVE);
            clock.pass(Duration.ofMinutes(6));
            assertThat(listener.status().state()).isEqualTo(LinkState.QUIET);
            assertThat(listener.status().since()).isEqualTo(start.plus(Duration.ofMinutes(15)));
        }
    }

    private DatagramListener listener(int port, Clock clock) {
        return new DatagramListener(
                InetAddress.getLoopbackAddress(),
                port,
                "set THE_PORT.",
                Duration.ofMinutes(15),
                clock,
                received::add,
                states::add);
    }

    private LinkStatus awaitState(Predicate<LinkStatus> wanted) throws InterruptedException {
        LinkStatus status;
        do {
            status = states.poll(30, TimeUnit.SECONDS);
            assertThat(status).as("the state came in time").isNotNull();
        } while (!wanted.test(status));
        return status;
    }

    private static void send(int port, String text) throws Exception {
        try (DatagramSocket socket = new DatagramSocket(0, InetAddress.getLoopbackAddress())) {
            byte[] bytes = text.getBytes();
            socket.send(new DatagramPacket(bytes, bytes.length, InetAddress.getLoopbackAddress(), port));
        }
    }
}
