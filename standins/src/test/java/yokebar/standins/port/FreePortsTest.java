package yokebar.standins.port;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import yokebar.standins.http.HttpService;

class FreePortsTest {
    private static final int OUTGOING_FROM = 32_768;

    @Test
    void aPortThatIsGivenUpForAWhileIsNeverGivenToAnOutgoingConnection() throws IOException {
        try (HttpService service = new HttpService(0).start();
                ServerSocket listening = LoopbackPort.listen(0)) {
            assertThat(service.port()).isLessThan(OUTGOING_FROM);
            assertThat(listening.getLocalPort()).isLessThan(OUTGOING_FROM);
        }
    }

    @Test
    void noPortIsGivenTwiceUntilAllWereGiven() throws IOException {
        Set<Integer> given = new HashSet<>();
        for (int i = 0; i < 100; i++) {
            assertThat(given.add(i % 2 == 0 ? FreePorts.tcp() : FreePorts.udp()))
                    .isTrue();
        }
        assertThat(given).allMatch(port -> port >= FreePorts.FIRST && port < OUTGOING_FROM);
    }

    @Test
    void aServiceThatWasDownComesBackAtItsPort() throws IOException {
        try (HttpService service = new HttpService(0).start()) {
            int port = service.port();
            service.stop();
            assertThat(service.start().port()).isEqualTo(port);
        }
    }
}
