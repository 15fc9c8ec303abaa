package yokebar.links.share;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArraySet;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Offers a radio to other programs as semicolon CAT on a TCP port, to any number at once. Questions are answered from what the
 * radio last reported, so that many programs cost it nothing; commands go to the radio in turn; only one program keys at a
 * time.
 */
public final class RadioShare implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(RadioShare.class);
    private static final int LONGEST_SENTENCE = 128;
    private static final long WATCH_EVERY_MS = 200;

    private final SharedRadio radio;
    private final Clock clock;
    private final Runnable changed;
    private final KeyOwner key;
    private final Set<Program> programs = new CopyOnWriteArraySet<>();
    private final ServerSocket server;
    private volatile boolean closed;

    /**
     * A connected program.
     *
     * @param address its host and port
     * @param since when it connected, UTC
     * @param keys whether it transmits now
     */
    public record Client(String address, Instant since, boolean keys) {}

    /**
     * @param port 0 for any free port
     * @param longestKey how long a program may transmit without a break
     * @param changed run when a program came, went, keyed or let go
     * @throws IOException when the port cannot be had
     */
    public RadioShare(SharedRadio radio, int port, Duration longestKey, Clock clock, Runnable changed)
            throws IOException {
        this.radio = radio;
        this.clock = clock;
        this.changed = changed;
        this.key = new KeyOwner(radio, longestKey);
        this.server = new ServerSocket();
        server.setReuseAddress(true);
        try {
            server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        } catch (IOException e) {
            server.close();
            throw e;
        }
        thread("radio-share-" + server.getLocalPort(), this::accept);
        thread("radio-share-watch-" + server.getLocalPort(), this::watch);
    }

    public int port() {
        return server.getLocalPort();
    }

    /** The programs connected now, the longest connected first. */
    public List<Client> clients() {
        return programs.stream()
                .map(p -> new Client(p.address, p.since, key.isKeyedBy(p.sentences)))
                .sorted(Comparator.comparing(Client::since))
                .toList();
    }

    /** Tells the programs that asked for it; to be called when the radio reported something new. */
    public void moved() {
        for (Program program : programs) {
            if (program.sentences.pushes()) {
                program.tell(program.sentences.news());
            }
        }
    }

    @Override
    public void close() {
        closed = true;
        closeQuietly(server);
        programs.forEach(Program::hangUp);
    }

    private static void thread(String name, Runnable task) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        thread.start();
    }

    private static void closeQuietly(AutoCloseable what) {
        try {
            what.close();
        } catch (Exception e) {
            LOG.debug("Closing failed", e);
        }
    }

    private void accept() {
        while (!closed) {
            try {
                Socket socket = server.accept();
                socket.setTcpNoDelay(true);
                Program program = new Program(socket);
                programs.add(program);
                thread("radio-share-program", program::serve);
                changed.run();
            } catch (IOException e) {
                if (!closed) {
                    LOG.warn("A program could not be let in to the radio", e);
                }
            }
        }
    }

    private void watch() {
        while (!closed) {
            key.watch();
            try {
                Thread.sleep(WATCH_EVERY_MS);
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    /** One program's connection. */
    private final class Program {
        private final Socket socket;
        private final String address;
        private final Instant since = clock.instant();
        private final ShareSentences sentences = new ShareSentences(radio, key);
        private @Nullable OutputStream out;
        private String lastNews = "";

        Program(Socket socket) throws IOException {
            this.socket = socket;
            this.out = socket.getOutputStream();
            this.address = socket.getInetAddress().getHostAddress() + ":" + socket.getPort();
        }

        private void serve() {
            StringBuilder sentence = new StringBuilder();
            try (InputStream in = new BufferedInputStream(socket.getInputStream())) {
                for (int b = in.read(); b >= 0; b = in.read()) {
                    if (b == ';') {
                        obey(sentence.toString());
                        sentence.setLength(0);
                    } else if (b > ' ' && sentence.length() < LONGEST_SENTENCE || b == ' ' && !sentence.isEmpty()) {
                        sentence.append((char) b);
                    }
                }
            } catch (IOException e) {
                LOG.debug("The program at {} hung up", address, e);
            }
            hangUp();
        }

        private void obey(String sentence) {
            boolean keyed = key.isKeyedBy(sentences);
            send(sentences.answer(sentence));
            if (key.isKeyedBy(sentences) != keyed) {
                changed.run();
            }
        }

        /** Passes on news, unless they are none: most reports are of the meter. */
        private synchronized void tell(String news) {
            if (!news.equals(lastNews)) {
                lastNews = news;
                send(news);
            }
        }

        private synchronized void send(String text) {
            OutputStream open = out;
            if (open == null || text.isEmpty()) {
                return;
            }
            try {
                open.write(text.getBytes(StandardCharsets.US_ASCII));
            } catch (IOException e) {
                LOG.debug("The program at {} takes no answer", address, e);
                out = null;
            }
        }

        private void hangUp() {
            if (programs.remove(this)) {
                key.release(sentences);
                closeQuietly(socket);
                changed.run();
            }
        }
    }
}
