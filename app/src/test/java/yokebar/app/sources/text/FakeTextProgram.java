package yokebar.app.sources.text;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;

/** A program that decodes radioteletype and says what a test tells it to, byte for byte. */
public final class FakeTextProgram implements AutoCloseable {
    private static final long AHEAD_MS = 900;

    private final ServerSocket server;
    private final String greeting;
    private final Set<Socket> listeners = ConcurrentHashMap.newKeySet();
    private final List<String> heard = new CopyOnWriteArrayList<>();

    /** @param greeting said to everybody who connects */
    public FakeTextProgram(String greeting) throws IOException {
        this.greeting = greeting;
        this.server = new ServerSocket(0, 10, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(this::accept, "fake-text-program");
        thread.setDaemon(true);
        thread.start();
    }

    public String address() {
        return "127.0.0.1:" + server.getLocalPort();
    }

    private void accept() {
        while (!server.isClosed()) {
            try {
                Socket socket = server.accept();
                write(socket, greeting + "\n");
                listeners.add(socket);
                Thread reading = new Thread(() -> read(socket), "fake-text-program-reads");
                reading.setDaemon(true);
                reading.start();
            } catch (IOException e) {
                return;
            }
        }
    }

    private void read(Socket socket) {
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                heard.add(line);
            }
        } catch (IOException e) {
            // They hung up.
        }
    }

    /** The lines it was sent, from all connections, in their order. */
    public List<String> heard() {
        return List.copyOf(heard);
    }

    private static void write(Socket socket, String text) throws IOException {
        OutputStream out = socket.getOutputStream();
        out.write(text.getBytes(StandardCharsets.UTF_8));
        out.flush();
    }

    public int listeners() {
        return listeners.size();
    }

    public void say(String line) {
        for (Socket socket : listeners) {
            try {
                write(socket, line + "\n");
            } catch (IOException e) {
                listeners.remove(socket);
            }
        }
    }

    /** What one decoder prints; '_' is not printed. */
    public record Printed(String decoder, String text, double certainty) {}

    /**
     * Prints texts side by side, characters 165 ms apart. They end in a moment: however slow the machine is, nothing of them is
     * settled before all of it has arrived.
     */
    public void print(Printed... texts) {
        long begin = System.currentTimeMillis() + AHEAD_MS;
        StringBuilder lines = new StringBuilder();
        for (Printed printed : texts) {
            for (int i = 0; i < printed.text().length(); i++) {
                if (printed.text().charAt(i) != '_') {
                    lines.append("{\"text\":1,\"decoder\":\"")
                            .append(printed.decoder())
                            .append("\",\"at\":")
                            .append(begin + 165L * i)
                            .append(",\"character\":\"")
                            .append(printed.text().charAt(i))
                            .append("\",\"certainty\":")
                            .append(printed.certainty())
                            .append("}\n");
                }
            }
        }
        say(lines.toString().strip());
    }

    public void hangUp() throws IOException {
        for (Socket socket : listeners) {
            socket.close();
        }
        listeners.clear();
    }

    @Override
    public void close() throws IOException {
        server.close();
        hangUp();
    }
}
