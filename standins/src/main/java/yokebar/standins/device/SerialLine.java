package yokebar.standins.device;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * Makes a simulated device on a TCP port look like one on a serial port, with socat. Without socat there is none; the device
 * stays reachable over TCP.
 */
public final class SerialLine implements AutoCloseable {
    private final Path path;
    private final int devicePort;
    private @Nullable Process socat;

    /**
     * @param path where the port appears, such as {@code /tmp/stand-ins/petrel}
     * @param devicePort of the device on the loopback
     */
    public SerialLine(Path path, int devicePort) {
        this.path = path;
        this.devicePort = devicePort;
    }

    public Path path() {
        return path;
    }

    /** Whether socat is on this computer. */
    public static boolean possible() {
        return Files.isExecutable(Path.of("/usr/bin/socat"));
    }

    /** As plugging the cable in. Returns when the port is there. */
    public synchronized void plugIn() throws IOException, InterruptedException {
        if (socat != null && socat.isAlive()) {
            return;
        }
        Files.createDirectories(path.toAbsolutePath().getParent());
        Files.deleteIfExists(path);
        Process started = new ProcessBuilder(
                        "/usr/bin/socat",
                        "pty,raw,echo=0,link=" + path.toAbsolutePath(),
                        "tcp:127.0.0.1:" + devicePort + ",nodelay")
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        socat = started;
        while (!Files.exists(path)) {
            if (!started.isAlive()) {
                throw new IOException("socat made no serial port " + path);
            }
            TimeUnit.MILLISECONDS.sleep(10);
        }
    }

    /** As pulling the cable out. */
    public synchronized void unplug() throws IOException, InterruptedException {
        Process running = socat;
        socat = null;
        if (running != null) {
            running.destroy();
            if (!running.waitFor(5, TimeUnit.SECONDS)) {
                running.destroyForcibly();
            }
        }
        Files.deleteIfExists(path);
    }

    @Override
    public void close() {
        try {
            unplug();
        } catch (IOException e) {
            System.err.println(path + ": " + e.getMessage());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
