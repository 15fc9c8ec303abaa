package yokebar.e2e;

import java.io.IOException;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * Ports that nobody uses and nobody is given by chance: below those the system gives to outgoing connections, or one of these
 * could take a port between its being found free and its use. Each is claimed for this process by a lock on its place in a file,
 * so that tests that run beside one another never have the same.
 */
final class FreePorts {
    private static final int FIRST = 20_000;
    private static final int MANY = 12_000;
    private static final FileChannel CLAIMS = claims();

    private static int next = (int) (ProcessHandle.current().pid() * 31 % MANY);

    private FreePorts() {}

    @FunctionalInterface
    private interface Use {
        AutoCloseable of(int port) throws IOException;
    }

    static int tcp() throws IOException {
        return free(port -> new ServerSocket(port, 1, InetAddress.getLoopbackAddress()));
    }

    static int udp() throws IOException {
        return free(port -> new DatagramSocket(port, InetAddress.getLoopbackAddress()));
    }

    private static synchronized int free(Use use) throws IOException {
        for (int tries = 0; tries < MANY; tries++) {
            next = (next + 1) % MANY;
            int port = FIRST + next;
            if (claimed(port) && usable(use, port)) {
                return port;
            }
        }
        throw new IOException("no port is free");
    }

    private static boolean usable(Use use, int port) {
        try (AutoCloseable socket = use.of(port)) {
            return socket != null;
        } catch (Exception e) {
            return false;
        }
    }

    /** Held until this process ends. */
    private static boolean claimed(int port) throws IOException {
        try {
            return CLAIMS.tryLock(port, 1, false) != null;
        } catch (OverlappingFileLockException e) {
            return false;
        }
    }

    private static FileChannel claims() {
        try {
            return FileChannel.open(
                    Path.of(System.getProperty("java.io.tmpdir"), "yokebar-test-ports"),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.WRITE);
        } catch (IOException e) {
            throw new ExceptionInInitializerError(e);
        }
    }
}
