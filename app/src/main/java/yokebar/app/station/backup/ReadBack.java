package yokebar.app.station.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.concurrent.ScheduledFuture;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.storage.WholeFile;
import yokebar.app.sources.intake.LogImport;

/**
 * Takes the contacts of a second copy in after the log was replaced. The copy waits in a file beside the log, which goes only
 * when all of it is in: after a crash it is read again, and nothing is doubled.
 */
@Component
class ReadBack implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(ReadBack.class);

    private final Path home;
    private final LogImport files;
    private final TaskScheduler scheduler;
    private final Clock clock;
    private @Nullable ScheduledFuture<?> reading;

    ReadBack(YokebarProperties properties, LogImport files, TaskScheduler scheduler, Clock clock) {
        this.home = properties.home();
        this.files = files;
        this.scheduler = scheduler;
        this.clock = clock;
    }

    private static Path waiting(Path home) {
        return home.resolve("read-back.adi");
    }

    /** The next start takes the contacts of this file in. */
    static void atNextStart(Path home, Path copy) throws IOException {
        Path fresh = waiting(home).resolveSibling("read-back.new");
        Files.copy(copy, fresh, StandardCopyOption.REPLACE_EXISTING);
        WholeFile.put(fresh, waiting(home));
    }

    /** Nothing is taken in. */
    static void cancel(Path home) throws IOException {
        Files.deleteIfExists(waiting(home));
    }

    @Override
    public void start() {
        if (Files.exists(waiting(home))) {
            reading = scheduler.schedule(this::read, clock.instant());
        }
    }

    private void read() {
        Path file = waiting(home);
        try (InputStream in = Files.newInputStream(file)) {
            LogImport.ImportResult result = files.take(in, SecondCopy.FILE);
            LOG.info(
                    "{} contacts of the second copy were read back; {} were missing in the log and are in it now",
                    result.read(),
                    result.added());
            Files.delete(file);
        } catch (IOException | RuntimeException e) {
            LOG.error("The second copy could not be read back; it is tried again at the next start", e);
        }
    }

    @Override
    public void stop() {
        ScheduledFuture<?> running = reading;
        reading = null;
        if (running != null) {
            running.cancel(false);
        }
    }

    @Override
    public boolean isRunning() {
        return reading != null;
    }
}
