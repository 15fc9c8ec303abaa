package yokebar.standins.teletype;

import java.io.BufferedOutputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Queue;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.port.LoopbackPort;

/**
 * A program that decodes the recorded hour again and again, with one decoder or several, and tells whoever connects. It may send
 * texts, too.
 */
public final class TextProgram implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long LOOK_EVERY_MS = 40;
    private static final long ALIVE_AFTER_MS = 1_000;

    private final String name;
    private final List<Decoder> decoders;
    /** By the moment at which they were printed, ms since the hour began. */
    private final NavigableMap<Long, List<Line>> lines = new TreeMap<>();

    private final @Nullable TextTransmitter transmitter;
    private final Clock clock;
    private final long beganMs;
    private final int wantedPort;
    private final Set<Socket> listeners = ConcurrentHashMap.newKeySet();
    private volatile @Nullable ServerSocket server;
    private volatile int port;

    /** What one of them printed. */
    private record Line(Decoder decoder, Decoder.Printed printed) {}

    /**
     * What kind of program it is.
     *
     * @param sends whether it sends texts
     */
    public record Kind(String name, List<Decoder> decoders, boolean sends) {}

    /** @param port 0 for any free port */
    public TextProgram(Kind kind, RecordedHour hour, long seed, Clock clock, int port) throws IOException {
        this.name = kind.name();
        List<Decoder> decoders = kind.decoders();
        this.transmitter = kind.sends() ? new TextTransmitter() : null;
        this.decoders = decoders;
        this.clock = clock;
        this.beganMs = clock.millis();
        this.wantedPort = port;
        for (Decoder decoder : decoders) {
            decoder.receive(hour, seed)
                    .forEach(printed -> lines.computeIfAbsent(printed.atMs(), at -> new ArrayList<>())
                            .add(new Line(decoder, printed)));
        }
        setUp(true);
    }

    public String name() {
        return name;
    }

    /** Its name in addresses. */
    public String id() {
        return name.toLowerCase(Locale.ROOT);
    }

    public int port() {
        return port;
    }

    public String address() {
        return "127.0.0.1:" + port;
    }

    public boolean up() {
        return server != null;
    }

    /** Whether it sends texts. */
    public boolean sends() {
        return transmitter != null;
    }

    /** The text that it sends now; empty when it sends none. */
    public String sending() {
        return transmitter == null ? "" : transmitter.sending();
    }

    /** How many are connected. */
    public int listeners() {
        return listeners.size();
    }

    /** Starts or ends the program. */
    public void setUp(boolean up) throws IOException {
        if (up && server == null) {
            ServerSocket socket = LoopbackPort.listen(port == 0 ? wantedPort : port);
            port = socket.getLocalPort();
            server = socket;
            thread(() -> accept(socket));
        } else if (!up) {
            close();
        }
    }

    private void thread(Runnable task) {
        Thread thread = new Thread(task, "text-" + name);
        thread.setDaemon(true);
        thread.start();
    }

    private void accept(ServerSocket socket) {
        while (!socket.isClosed()) {
            try {
                Socket listener = socket.accept();
                listeners.add(listener);
                thread(() -> tell(listener));
            } catch (IOException e) {
                return;
            }
        }
    }

    private void tell(Socket listener) {
        try (listener;
                OutputStream out = new BufferedOutputStream(listener.getOutputStream())) {
            say(
                    out,
                    Map.of(
                            "text",
                            1,
                            "program",
                            name,
                            "decoders",
                            decoders.stream().map(Decoder::title).toList(),
                            "sends",
                            transmitter != null));
            Queue<Map<String, Object>> answers = new ConcurrentLinkedQueue<>();
            if (transmitter != null) {
                thread(() -> listen(listener, transmitter, answers));
            }
            long toldMs = clock.millis() - beganMs;
            long lastMs = toldMs;
            while (server != null && !listener.isClosed()) {
                long nowMs = clock.millis() - beganMs;
                for (Line line : between(toldMs, nowMs)) {
                    long lap = nowMs - Math.floorMod(nowMs - line.printed().atMs(), RecordedHour.LENGTH_MS);
                    say(
                            out,
                            Map.of(
                                    "text",
                                    1,
                                    "decoder",
                                    line.decoder().title(),
                                    "at",
                                    beganMs + lap,
                                    "character",
                                    String.valueOf(line.printed().character()),
                                    "certainty",
                                    line.printed().certainty()));
                    lastMs = nowMs;
                }
                toldMs = nowMs;
                if (transmitter != null) {
                    answers.addAll(transmitter.turn(listener, nowMs));
                }
                for (Map<String, Object> answer = answers.poll(); answer != null; answer = answers.poll()) {
                    say(out, answer);
                    lastMs = nowMs;
                }
                if (nowMs - lastMs >= ALIVE_AFTER_MS) {
                    say(out, Map.of("text", 1, "alive", true));
                    lastMs = nowMs;
                }
                out.flush();
                Thread.sleep(LOOK_EVERY_MS);
            }
        } catch (IOException e) {
            // They hung up.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            listeners.remove(listener);
            if (transmitter != null) {
                transmitter.gone(listener);
            }
        }
    }

    private void listen(Socket from, TextTransmitter transmitter, Queue<Map<String, Object>> answers) {
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(from.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                Map<String, Object> answer = transmitter.hear(from, JSON.readTree(line), clock.millis() - beganMs);
                if (answer != null) {
                    answers.add(answer);
                }
            }
        } catch (IOException | JacksonException e) {
            // They hung up, or speak something else.
        }
        close(from);
    }

    private static void close(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            // It is closed all the same.
        }
    }

    /** What is printed from one moment on until before another, ms since it began; the hour begins again at its end. */
    private List<Line> between(long fromMs, long untilMs) {
        long from = fromMs % RecordedHour.LENGTH_MS;
        long until = untilMs % RecordedHour.LENGTH_MS;
        Stream<List<Line>> printed = from <= until
                ? lines.subMap(from, until).values().stream()
                : Stream.concat(lines.tailMap(from).values().stream(), lines.headMap(until).values().stream());
        return printed.flatMap(List::stream).toList();
    }

    private static void say(OutputStream out, Map<String, ?> words) throws IOException {
        out.write((JSON.writeValueAsString(words) + "\n").getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public void close() {
        ServerSocket socket = server;
        server = null;
        try {
            if (socket != null) {
                socket.close();
            }
            for (Socket listener : listeners) {
                listener.close();
            }
        } catch (IOException e) {
            // It is closed all the same.
        }
    }
}
