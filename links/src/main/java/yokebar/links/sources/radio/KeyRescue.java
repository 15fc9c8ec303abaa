package yokebar.links.sources.radio;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yokebar.core.sources.radio.RadioCommand;

/**
 * A small process of its own that outlives the application when that is killed: it learns from its standard input which radios
 * transmit, and when the input ends it sets those to receive. {@link KeyRescueProcess} starts and tells it.
 */
public final class KeyRescue {
    private static final Duration REACHED_WITHIN = Duration.ofSeconds(30);
    /** A radio that does not tell whether it transmits is told so long to receive. */
    private static final Duration ASKED_FOR = Duration.ofSeconds(4);

    private static final Duration REHEARSAL = Duration.ofSeconds(2);
    private static final int TELL_EVERY_MS = 150;
    private static final String RECEIVES = " was left transmitting and was set to receive.";
    private static final String NOT_REACHED = " may still transmit: it could not be set to receive. Look at the radio.";
    private static final RadioDialects DIALECTS = RadioDialects.standard();

    private final Map<String, KeyedRadio> keyed = new LinkedHashMap<>();
    private final PrintStream says;

    private KeyRescue(PrintStream says) {
        this.says = says;
    }

    public static void main(String[] args) throws IOException, InterruptedException {
        Thread work = Thread.currentThread();
        // Ctrl+C reaches every process of the terminal; this one ends only after the application has.
        Runtime.getRuntime().addShutdownHook(new Thread(() -> outlive(work)));
        run(System.in, System.err);
    }

    private static void outlive(Thread work) {
        try {
            work.join(REACHED_WITHIN.plus(ASKED_FOR).toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Returns when the orders have ended and the radios left keyed receive, or could not be reached. */
    static void run(InputStream orders, PrintStream says) throws IOException, InterruptedException {
        KeyRescue rescue = new KeyRescue(says);
        rehearse();
        rescue.listen(orders);
        rescue.release();
    }

    /** Sets a radio that is not there to receive, so that no class is loaded for the first time when every moment counts. */
    private static void rehearse() throws IOException {
        try (ServerSocket nobody = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            nobody.setSoTimeout((int) REHEARSAL.toMillis());
            RadioEndpoint endpoint = new RadioEndpoint(
                    "semicolon", new RadioDialects.Options(0, 0), "127.0.0.1:" + nobody.getLocalPort(), null);
            RadioLink link = link("nobody", endpoint);
            link.start();
            try (Socket heard = nobody.accept()) {
                heard.setSoTimeout((int) REHEARSAL.toMillis());
                heard.getInputStream().read();
            } catch (SocketTimeoutException e) {
                // Then it takes as long as it takes.
            } finally {
                link.close();
            }
        }
    }

    private static RadioLink link(String name, RadioEndpoint endpoint) {
        return new RadioLink(
                name,
                endpoint.reachedAt(DIALECTS),
                () -> endpoint.speaks(DIALECTS),
                RadioLink.Habits.STANDARD,
                Clock.systemUTC(),
                RadioLink.Listeners.of(state -> {}, status -> {}));
    }

    private void listen(InputStream orders) throws IOException {
        BufferedReader lines = new BufferedReader(new InputStreamReader(orders, StandardCharsets.UTF_8));
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            try {
                take(line);
            } catch (IllegalArgumentException e) {
                says.println(e.getMessage());
            }
        }
    }

    private void take(String line) {
        KeyedRadio radio = KeyedRadio.read(line);
        if (radio == null) {
            keyed.remove(line);
        } else {
            keyed.put(radio.id(), radio);
        }
    }

    private void release() throws InterruptedException {
        List<Thread> all = keyed.values().stream()
                .map(radio -> new Thread(() -> release(radio)))
                .toList();
        all.forEach(Thread::start);
        for (Thread one : all) {
            one.join();
        }
    }

    private void release(KeyedRadio radio) {
        String name = radio.name();
        RadioLink link = link(name, radio.endpoint());
        try {
            link.start();
            says.println(name + (receives(link) ? RECEIVES : NOT_REACHED));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            link.close();
        }
    }

    /** Connecting tells it already; it is told again until it reports that it receives. */
    private static boolean receives(RadioLink link) throws InterruptedException {
        long until = System.nanoTime() + REACHED_WITHIN.toNanos();
        long askedSince = 0;
        while (System.nanoTime() - until < 0) {
            if (Boolean.FALSE.equals(link.state().transmitting())) {
                return true;
            }
            if (link.state().frequencyHz() != null) {
                askedSince = askedSince == 0 ? System.nanoTime() : askedSince;
                if (link.state().transmitting() == null && System.nanoTime() - askedSince > ASKED_FOR.toNanos()) {
                    return true;
                }
                link.tell(new RadioCommand.Key(false));
            }
            // No pauses between tries.
            link.hurry();
            Thread.sleep(TELL_EVERY_MS);
        }
        return false;
    }
}
