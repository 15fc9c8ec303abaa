package yokebar.standins.cluster;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import yokebar.standins.port.LoopbackPort;

/** A TCP server that speaks lines with whoever comes, on the loopback. */
final class LineServer implements AutoCloseable {
    private static final int SEND_WITHIN_MS = 5_000;

    private final int wantedPort;
    private final Host host;
    private final Set<Visitor> visitors = ConcurrentHashMap.newKeySet();
    private volatile @Nullable ServerSocket server;
    private volatile int port;

    /** What the server says. */
    interface Host {
        void greet(Visitor visitor) throws IOException;

        void hear(Visitor visitor, String line) throws IOException;
    }

    LineServer(int port, Host host) throws IOException {
        this.wantedPort = port;
        this.host = host;
        open();
    }

    private void open() throws IOException {
        ServerSocket socket = LoopbackPort.listen(port == 0 ? wantedPort : port);
        port = socket.getLocalPort();
        server = socket;
        thread(() -> accept(socket));
    }

    int port() {
        return port;
    }

    /** Those who are connected and let in. */
    int visitors() {
        return (int) visitors.stream().filter(visitor -> visitor.welcome).count();
    }

    boolean up() {
        return server != null;
    }

    void setUp(boolean up) throws IOException {
        if (up && server == null) {
            open();
        } else if (!up && server != null) {
            close();
        }
    }

    /** Hangs up on everybody. */
    void drop() {
        visitors.forEach(Visitor::close);
    }

    void tellAll(String text) {
        for (Visitor visitor : visitors) {
            if (visitor.welcome) {
                visitor.tell(text);
            }
        }
    }

    private static void thread(Runnable task) {
        Thread thread = new Thread(task, "cluster");
        thread.setDaemon(true);
        thread.start();
    }

    private void accept(ServerSocket socket) {
        while (!socket.isClosed()) {
            try {
                Visitor visitor = new Visitor(socket.accept());
                visitors.add(visitor);
                if (socket.isClosed()) {
                    visitor.close();
                }
                thread(() -> serve(visitor));
            } catch (IOException e) {
                return;
            }
        }
    }

    private void serve(Visitor visitor) {
        try (Socket socket = visitor.socket;
                BufferedReader in = new BufferedReader(
                        new InputStreamReader(socket.getInputStream(), StandardCharsets.ISO_8859_1))) {
            host.greet(visitor);
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                host.hear(visitor, line.replaceAll("[^\\x20-\\x7e]", "").strip());
            }
        } catch (IOException e) {
            // They hung up.
        } finally {
            visitors.remove(visitor);
        }
    }

    @Override
    public void close() {
        ServerSocket socket = server;
        server = null;
        try {
            if (socket != null) {
                socket.close();
            }
        } catch (IOException e) {
            // It is closed all the same.
        }
        drop();
    }

    /** One who is connected. */
    static final class Visitor {
        private final Socket socket;
        private final OutputStream out;
        volatile boolean welcome;
        volatile @Nullable String call;

        Visitor(Socket socket) throws IOException {
            this.socket = socket;
            socket.setSoTimeout(0);
            socket.setSoLinger(true, SEND_WITHIN_MS / 1000);
            this.out = socket.getOutputStream();
        }

        void tell(String text) {
            tell(text.getBytes(StandardCharsets.ISO_8859_1));
        }

        synchronized void tell(byte[] bytes) {
            try {
                out.write(bytes);
                out.flush();
            } catch (IOException e) {
                close();
            }
        }

        void close() {
            try {
                socket.close();
            } catch (IOException e) {
                // It is closed all the same.
            }
        }
    }
}
