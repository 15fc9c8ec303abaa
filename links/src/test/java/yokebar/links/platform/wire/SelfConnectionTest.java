package yokebar.links.platform.wire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.ServerSocket;
import org.junit.jupiter.api.Test;

class SelfConnectionTest {
    /** Linux gives even ports to outgoing connections first, each the next after the last, so the wanted one comes round. */
    private static final int CALLS = 16_000;

    @Test
    void whereNobodyListensIsRefusedHoweverOftenItIsTried() throws IOException {
        TcpAddress nobody = new TcpAddress("127.0.0.1", evenPortOfOutgoingConnections());
        for (int i = 0; i < CALLS; i++) {
            assertThatThrownBy(nobody::open).isInstanceOfSatisfying(LinkFault.class, fault -> assertThat(fault.kind())
                    .isEqualTo(LinkFault.Kind.REFUSED));
        }
    }

    private static int evenPortOfOutgoingConnections() throws IOException {
        for (int port = 40_000; port < 60_000; port += 2) {
            try (ServerSocket socket = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
                return socket.getLocalPort();
            } catch (BindException e) {
                // It is somebody's; the next, then.
            }
        }
        throw new IOException("no port is free");
    }
}
