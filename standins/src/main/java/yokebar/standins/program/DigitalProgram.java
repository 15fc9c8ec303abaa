package yokebar.standins.program;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The digital-mode program "Wavelet": works stations of the world by itself at an adjustable tempo, tells each contact to
 * the log as an ADIF datagram and appends it to its own ADI file.
 */
public final class DigitalProgram implements AutoCloseable {
    private static final String OWN_CALL = "CU9QYB";
    private static final String OWN_LOCATOR = "HM49kq";

    private final World world;
    private final Clock clock;
    private final Random random;
    private final Path ownLog;
    private final InetSocketAddress logPort;
    private final DatagramSocket socket;
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "digital-program");
        thread.setDaemon(true);
        return thread;
    });
    private @Nullable CatClient radio;
    private @Nullable ScheduledFuture<?> working;
    private double secondsBetween;
    private String last = "";
    private int made;

    /** @param logPort where the log listens for ADIF datagrams, on the loopback */
    public DigitalProgram(World world, Clock clock, long seed, Path folder, int logPort) throws IOException {
        this.world = world;
        this.clock = clock;
        this.random = new Random(seed);
        Files.createDirectories(folder);
        this.ownLog = folder.resolve("wavelet.adi");
        if (!Files.exists(ownLog)) {
            Files.writeString(ownLog, "Wavelet log\n<adif_ver:5>3.1.4 <eoh>\n");
        }
        this.logPort = new InetSocketAddress(InetAddress.getLoopbackAddress(), logPort);
        this.socket = new DatagramSocket(0, InetAddress.getLoopbackAddress());
    }

    /** Works a station every so many seconds from now on; 0 stops. */
    public synchronized void setSecondsBetween(double seconds) {
        if (working != null) {
            working.cancel(false);
            working = null;
        }
        secondsBetween = seconds;
        if (seconds > 0) {
            long millis = (long) (seconds * 1000);
            working = timer.scheduleWithFixedDelay(
                    this::workSomebody, Math.min(millis, 2000), millis, TimeUnit.MILLISECONDS);
        }
    }

    /** Works from now on with the radio that is shared on this port: on its frequency, without saying its power. */
    public synchronized void useRadio(int sharePort) {
        radio = new CatClient(sharePort);
    }

    /** Sets the radio to a frequency in Hz and to the program's sound. */
    public synchronized void tune(long hz) throws IOException {
        if (radio == null) {
            throw new IllegalArgumentException("Wavelet has no radio");
        }
        radio.tune(hz);
    }

    /** The ADI file it writes. */
    public Path ownLog() {
        return ownLog;
    }

    public synchronized double secondsBetween() {
        return secondsBetween;
    }

    /** How many contacts it has made since it started. */
    public synchronized int made() {
        return made;
    }

    /**
     * Makes a contact at once.
     *
     * @param changes ADIF fields to set instead of what comes by chance; an empty value leaves a field out
     * @return the ADIF text that was sent
     */
    public synchronized String contact(Map<String, String> changes) throws IOException {
        Optional<Station> named = world.station(changes.getOrDefault("CALL", ""));
        Station station = named.orElseGet(() -> world.any(random));
        Map<String, String> fields =
                new LinkedHashMap<>(ProgramContact.make(OWN_CALL, OWN_LOCATOR, station, clock.instant(), random));
        if (radio != null) {
            radio.frequencyHz().ifPresent(hz -> ProgramContact.onRadio(fields, hz, random));
        }
        if (changes.containsKey("CALL") && named.isEmpty()) {
            // Nobody in this world: nothing is known about the call but the call.
            fields.keySet().removeAll(ProgramContact.ABOUT_THE_OTHER);
        }
        changes.forEach((name, value) -> {
            if (value.isEmpty()) {
                fields.remove(name);
            } else {
                fields.put(name, value);
            }
        });
        last = ProgramContact.text(fields);
        made++;
        Files.writeString(ownLog, last + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        send(last);
        return last;
    }

    /** Sends the last contact once more. */
    public synchronized String repeat() throws IOException {
        if (last.isEmpty()) {
            throw new IllegalArgumentException("no contact was made yet");
        }
        send(last);
        return last;
    }

    /** Sends any text as a datagram. */
    public void send(String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        socket.send(new DatagramPacket(bytes, bytes.length, logPort));
    }

    /** ADIF text of contacts spread over the time before now, the oldest first, for a log that should not start empty. */
    public String history(int contacts, int days) {
        Random past = new Random(7);
        Instant now = clock.instant();
        long span = days * 86_400L;
        StringBuilder text = new StringBuilder("Wavelet log\n<adif_ver:5>3.1.4 <eoh>\n");
        for (int i = 0; i < contacts; i++) {
            long ago = span - span * i / contacts + past.nextInt(1200) + 600;
            text.append(ProgramContact.text(
                            ProgramContact.make(OWN_CALL, OWN_LOCATOR, world.any(past), now.minusSeconds(ago), past)))
                    .append('\n');
        }
        return text.toString();
    }

    @Override
    public void close() {
        timer.shutdownNow();
        socket.close();
        if (radio != null) {
            radio.close();
        }
    }

    private void workSomebody() {
        try {
            contact(Map.of());
        } catch (IOException e) {
            System.err.println("Wavelet could not tell its contact: " + e.getMessage());
        }
    }
}
