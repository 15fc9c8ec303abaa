package yokebar.standins.device;

import java.io.IOException;
import java.io.InputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArraySet;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import yokebar.standins.port.LoopbackPort;

/** The socket of a simulated device on the loopback, with a power switch, a cable and a way to talk nonsense. */
final class DeviceServer implements AutoCloseable {

    /** One connection's side of the device's protocol. */
    interface Talk {
        /** Takes a byte from the computer and gives what the device answers to it; empty for nothing yet. */
        byte[] take(byte b);
    }

    private final String name;
    private final Function<Line, Talk> talks;
    private final Set<Line> lines = new CopyOnWriteArraySet<>();
    private final Random noise = new Random(3);
    private int port;
    private @Nullable ServerSocket server;
    private volatile boolean powered = true;
    private volatile boolean garbled;

    /**
     * Not plugged in yet.
     *
     * @param port 0 for any free port
     */
    DeviceServer(String name, int port, Function<Line, Talk> talks) {
        this.name = name;
        this.port = port;
        this.talks = talks;
    }

    /** One connection. */
    final class Line {
        private final Socket socket;

        Line(Socket socket) {
            this.socket = socket;
        }

        /** Sends unless the power is off; garbled when the speeds differ. */
        synchronized void send(byte[] bytes) {
            if (!powered || bytes.length == 0) {
                return;
            }
            byte[] sent = bytes;
            if (garbled) {
                sent = new byte[bytes.length];
                noise.nextBytes(sent);
            }
            try {
                socket.getOutputStream().write(sent);
            } catch (IOException e) {
                drop();
            }
        }

        private void drop() {
            lines.remove(this);
            try {
                socket.close();
            } catch (IOException e) {
                System.err.println(name + ": " + e.getMessage());
            }
        }
    }

    synchronized int port() {
        return port;
    }

    synchronized boolean plugged() {
        return server != null;
    }

    boolean powered() {
        return powered;
    }

    boolean garbled() {
        return garbled;
    }

    /** Without power it stays connected and says nothing. */
    void setPowered(boolean on) {
        powered = on;
    }

    /** As with the wrong speed: what it says is noise. */
    void setGarbled(boolean on) {
        garbled = on;
    }

    synchronized void plugIn() throws IOException {
        if (server != null) {
            return;
        }
        ServerSocket opened = LoopbackPort.listen(port);
        port = opened.getLocalPort();
        server = opened;
        Thread thread = new Thread(() -> accept(opened), name);
        thread.setDaemon(true);
        thread.start();
    }

    synchronized void unplug() throws IOException {
        ServerSocket open = server;
        server = null;
        if (open != null) {
            open.close();
        }
        lines.forEach(Line::drop);
    }

    /** To every connection. */
    void tellAll(Function<Line, byte[]> words) {
        lines.forEach(line -> line.send(words.apply(line)));
    }

    @Override
    public void close() {
        try {
            unplug();
        } catch (IOException e) {
            System.err.println(name + ": " + e.getMessage());
        }
    }

    private void accept(ServerSocket open) {
        while (!open.isClosed()) {
            try {
                Socket socket = open.accept();
                socket.setTcpNoDelay(true);
                Line line = new Line(socket);
                lines.add(line);
                Thread thread = new Thread(() -> serve(line), name + "-line");
                thread.setDaemon(true);
                thread.start();
            } catch (IOException e) {
                if (!open.isClosed()) {
                    System.err.println(name + ": " + e.getMessage());
                }
            }
        }
    }

    private void serve(Line line) {
        Talk talk = talks.apply(line);
        byte[] buffer = new byte[1024];
        try {
            InputStream in = line.socket.getInputStream();
            for (int count = in.read(buffer); count >= 0; count = in.read(buffer)) {
                for (int i = 0; i < count && powered; i++) {
                    line.send(talk.take(buffer[i]));
                }
            }
        } catch (IOException e) {
            // The computer hung up.
        }
        line.drop();
    }
}
