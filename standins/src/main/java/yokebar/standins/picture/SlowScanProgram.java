package yokebar.standins.picture;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/**
 * The slow-scan picture program "Slowlight": writes the pictures it receives line by line into a folder of a day each, as such
 * programs do, and transmits what it finds in another folder.
 */
public final class SlowScanProgram implements AutoCloseable {
    private static final String OWN_CALL = "CU9QYB";
    private static final int PIECES = 8;
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("yyyy-MM-dd", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss", Locale.ROOT).withZone(ZoneOffset.UTC);

    private final World world;
    private final Clock clock;
    private final Random random;
    private final Path received;
    private final Path toTransmit;
    private final Set<Path> seen = new HashSet<>();
    private final List<String> transmitted = new ArrayList<>();
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "slow-scan-program");
        thread.setDaemon(true);
        return thread;
    });
    private byte[] lastTransmitted = {};
    private @Nullable ScheduledFuture<?> receiving;
    private double secondsBetween;
    private long lineMs = 150;
    private int written;

    public SlowScanProgram(World world, Clock clock, long seed, Path folder) throws IOException {
        this.world = world;
        this.clock = clock;
        this.random = new Random(seed);
        this.received = Files.createDirectories(folder.resolve("received"));
        this.toTransmit = Files.createDirectories(folder.resolve("transmit"));
        timer.scheduleWithFixedDelay(this::transmitNew, 300, 300, TimeUnit.MILLISECONDS);
    }

    /** Where received pictures appear, in subfolders. */
    public Path received() {
        return received;
    }

    /** Where it takes the pictures from that it transmits. */
    public Path toTransmit() {
        return toTransmit;
    }

    /** Receives a picture every so many seconds from now on; 0 stops. */
    public synchronized void setSecondsBetween(double seconds) {
        if (receiving != null) {
            receiving.cancel(false);
            receiving = null;
        }
        secondsBetween = seconds;
        if (seconds > 0) {
            long millis = (long) (seconds * 1000);
            receiving = timer.scheduleWithFixedDelay(() -> receive(""), 500, millis, TimeUnit.MILLISECONDS);
        }
    }

    /** How long writing an eighth of a picture takes. */
    public synchronized void setLineMs(long ms) {
        lineMs = ms;
    }

    /**
     * Receives a picture of a station; it is written piece by piece.
     *
     * @param call a call of the world; any other or none for a station by chance
     * @return where it appears
     */
    public Path receive(String call) {
        return write(picture(call), PIECES);
    }

    /** Receives a picture that breaks off in the middle and is never finished. */
    public Path receiveBroken() {
        return write(picture(""), PIECES / 2);
    }

    private synchronized byte[] picture(String call) {
        Station station = world.station(call).orElseGet(() -> world.any(random));
        return TestPicture.of(station, OWN_CALL, random);
    }

    private synchronized Path write(byte[] picture, int pieces) {
        Path file = received.resolve(DAY.format(clock.instant()))
                .resolve("rx-" + TIME.format(clock.instant()) + "-" + ++written + ".png");
        try {
            Files.createDirectories(file.getParent());
            Files.createFile(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        for (int piece = 0; piece < pieces; piece++) {
            int from = picture.length * piece / PIECES;
            int until = picture.length * (piece + 1) / PIECES;
            timer.schedule(() -> append(file, picture, from, until), piece * lineMs, TimeUnit.MILLISECONDS);
        }
        return file;
    }

    private static void append(Path file, byte[] picture, int from, int until) {
        try (OutputStream out = Files.newOutputStream(file, StandardOpenOption.APPEND)) {
            out.write(picture, from, until - from);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void transmitNew() {
        try (Stream<Path> files = Files.list(toTransmit)) {
            for (Path file : files.filter(path -> path.toString().endsWith(".png"))
                    .sorted()
                    .toList()) {
                transmit(file);
            }
        } catch (IOException | UncheckedIOException e) {
            // The folder may be gone for a moment; the next look is soon.
            System.err.println("slow-scan program: " + e.getMessage());
        }
    }

    private synchronized void transmit(Path file) throws IOException {
        if (!seen.add(file)) {
            return;
        }
        byte[] content = Files.readAllBytes(file);
        BufferedImage image = ImageIO.read(file.toFile());
        if (image == null) {
            transmitted.add(file.getFileName() + " (not a picture)");
            return;
        }
        lastTransmitted = content;
        transmitted.add(file.getFileName() + " (" + image.getWidth() + " × " + image.getHeight() + ")");
    }

    /** A picture of the club's own, PNG. */
    public byte[] ownPicture() {
        return Lighthouse.png();
    }

    /** The names of what it transmitted, the first first. */
    public synchronized List<String> transmitted() {
        return List.copyOf(transmitted);
    }

    /** The picture it transmitted last, PNG; empty before the first. */
    public synchronized byte[] lastTransmitted() {
        return lastTransmitted.clone();
    }

    /** What Backstage shows. */
    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("received", written);
        summary.put("secondsBetween", secondsBetween);
        summary.put("transmitted", transmitted.size());
        summary.put("last", transmitted.isEmpty() ? "none" : transmitted.get(transmitted.size() - 1));
        return summary;
    }

    @Override
    public void close() {
        timer.shutdownNow();
    }
}
