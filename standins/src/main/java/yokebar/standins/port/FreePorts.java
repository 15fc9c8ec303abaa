package yokebar.standins.port;

import java.io.IOException;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * Ports of the loopback that nobody uses and nobody is given by chance: below those the system gives to outgoing connections, or
 * one of these could take a port between its being found free and its use, or while its owner is down. Each is claimed for this
 * process by a lock on its place in a file, so that processes that run beside one another never have the same. The ports come
 * in turn; a process that has had them all begins again with its first.
 */
public final class FreePorts {
    /** The first port that is given out. */
    public static final int FIRST = 20_000;

    /** How many there are: Linux gives ports from 32 768 to outgoing connections. */
    public static final int MANY = 12_000;

    private static final FileChannel CLAIMS = claims();

    private static int next = (int) (ProcessHandle.current().pid() * 31 % MANY);

    private FreePorts() {}

    @FunctionalInterface
    private interface Use {
        AutoCloseable of(int port) throws IOException;
    }

    /** @throws IOException if none is free */
    public static int tcp() throws IOException {
        return free(port -> new ServerSocket(port, 1, InetAddress.getLoopbackAddress()));
    }

    /** @throws IOException if none is free */
    public static int udp() throws IOException {
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
            return true;
        }
    }

    private static FileChannel claims() {
        try {
            return FileChannel.open(
                    Path.of(
                            System.getProperty("java.io.tmpdir"),
                            "yokebar-ports-of-" + System.getProperty("user.name")),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.WRITE);
        } catch (IOException e) {
            throw new ExceptionInInitializerError(e);
        }
    }
}
