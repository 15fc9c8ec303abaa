package yokebar.standins.port;

import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;

/**
 * Opens ports; right after one was closed the system may need a moment to let go of it. A port that was left to us is one of
 * {@link FreePorts}, so that it is still there when what was taken down comes back.
 */
public final class LoopbackPort {
    private static final int TRIES = 100;
    private static final int PAUSE_MS = 50;

    private LoopbackPort() {}

    /** Opens something on a port. */
    @FunctionalInterface
    public interface Opening<T> {
        T open(InetSocketAddress address) throws IOException;
    }

    /** @param port 0 for any free one */
    public static <T> T open(int port, Opening<T> opening) throws IOException {
        int chosen = port == 0 ? FreePorts.tcp() : port;
        for (int tries = 1; ; tries++) {
            try {
                return opening.open(new InetSocketAddress(InetAddress.getLoopbackAddress(), chosen));
            } catch (BindException e) {
                if (tries == TRIES) {
                    throw e;
                }
                pause();
            }
        }
    }

    /** @param port 0 for any free one */
    public static ServerSocket listen(int port) throws IOException {
        return open(port, address -> {
            ServerSocket socket = new ServerSocket();
            try {
                socket.setReuseAddress(true);
                socket.bind(address);
                return socket;
            } catch (IOException e) {
                socket.close();
                throw e;
            }
        });
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
