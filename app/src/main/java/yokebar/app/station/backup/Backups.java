package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.locks.ReentrantLock;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.WholeFile;

/**
 * Dated, compressed copies of all rows of the log, made while the application goes on: by hand, once a day, and when it ends.
 * Each is read back before it counts. Old ones are thinned out by age; files of other names are never touched.
 */
@Component
public class Backups implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final DateTimeFormatter NAMED = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");
    private static final Pattern NAME = Pattern.compile("yokebar-(\\d{4}-\\d{2}-\\d{2}-\\d{6})(-by-hand)?\\.zip");
    private static final String BY_HAND = "-by-hand";
    /** A clock that was wrong for a while may have left such names. */
    private static final Duration AHEAD = Duration.ofDays(1);

    private static final String BEING_MADE = "backup-being-made.tmp";
    private static final Duration LOOK_EVERY = Duration.ofMinutes(2);
    private static final Duration DAILY = Duration.ofHours(24);
    /** H2 gives no space back while it makes a backup, so none is begun in the middle of an import. */
    private static final Duration CALM = Duration.ofMinutes(2);

    private final DataSource database;
    private final SafetySettings settings;
    private final TaskScheduler scheduler;
    private final Clock clock;
    private final ReentrantLock oneAtATime = new ReentrantLock();
    private volatile boolean changedSince;
    private final Instant began;
    private volatile Instant lastChange = Instant.EPOCH;
    private volatile @Nullable String problem;
    private @Nullable ScheduledFuture<?> looking;

    Backups(DataSource database, SafetySettings settings, TaskScheduler scheduler, Clock clock) {
        this.database = database;
        this.settings = settings;
        this.scheduler = scheduler;
        this.clock = clock;
        this.began = clock.instant();
    }

    /**
     * A backup in the folder.
     *
     * @param bytes of the compressed file
     * @param byHand whether the operator asked for it
     */
    public record Backup(String name, Instant madeAt, long bytes, boolean byHand) {}

    @Override
    public void start() {
        looking =
                scheduler.scheduleWithFixedDelay(this::daily, clock.instant().plus(Duration.ofMinutes(1)), LOOK_EVERY);
    }

    @Override
    public void stop() {
        ScheduledFuture<?> running = looking;
        looking = null;
        if (running != null) {
            running.cancel(false);
        }
        if (changedSince && settings.row().backupOnExit) {
            quietly();
        }
    }

    private static String name(Instant madeAt, boolean byHand) {
        return "yokebar-" + NAMED.format(LocalDateTime.ofInstant(madeAt, ZoneOffset.UTC)) + (byHand ? BY_HAND : "")
                + ".zip";
    }

    @Override
    public boolean isRunning() {
        return looking != null;
    }

    /** After everything that logs has stopped. */
    @Override
    public int getPhase() {
        return 1;
    }

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        noteChange();
    }

    @TransactionalEventListener
    void changed(ContactsChanged event) {
        noteChange();
    }

    @TransactionalEventListener
    void deleted(ContactsDeleted event) {
        noteChange();
    }

    private void noteChange() {
        changedSince = true;
        lastChange = clock.instant();
    }

    private void daily() {
        Instant now = clock.instant();
        if (settings.row().backupDaily && changedSince) {
            Instant last = all().stream()
                    .map(Backup::madeAt)
                    .filter(madeAt -> madeAt.isBefore(now.plus(AHEAD)))
                    .findFirst()
                    .orElse(began);
            Duration age = Duration.between(last, now);
            boolean calm = lastChange.isBefore(now.minus(CALM));
            boolean none = last.equals(began);
            // Where contacts come every minute day and night it is made all the same, only later.
            if (calm && (none || age.compareTo(DAILY) > 0) || age.compareTo(DAILY.multipliedBy(2)) > 0) {
                quietly();
            }
        }
    }

    private void quietly() {
        try {
            make(false);
        } catch (Rejection e) {
            LOG.warn("{}", e.sentence());
        }
    }

    /** What was wrong with the last backup; null when nothing was. */
    public @Nullable String problem() {
        return problem;
    }

    /** The backups there are, the newest first. */
    public List<Backup> all() {
        Path folder = settings.backupFolder();
        List<Backup> backups = new ArrayList<>();
        if (Files.isDirectory(folder)) {
            try (Stream<Path> files = Files.list(folder)) {
                for (Path file : files.toList()) {
                    Matcher name = NAME.matcher(file.getFileName().toString());
                    Instant madeAt = name.matches() ? date(name.group(1)) : null;
                    if (madeAt != null) {
                        backups.add(new Backup(
                                file.getFileName().toString(), madeAt, Files.size(file), name.group(2) != null));
                    }
                }
            } catch (IOException e) {
                LOG.warn("The backups in {} could not be listed: {}", folder, e.toString());
            }
        }
        backups.sort(Comparator.comparing(Backup::madeAt).reversed());
        return backups;
    }

    /** @return null when there is no such day or time */
    private static @Nullable Instant date(String text) {
        try {
            return LocalDateTime.parse(text, NAMED).toInstant(ZoneOffset.UTC);
        } catch (DateTimeException e) {
            return null;
        }
    }

    /** The file of a backup. */
    Path file(String name) {
        if (!NAME.matcher(name).matches()
                || !Files.isRegularFile(settings.backupFolder().resolve(name))) {
            throw new Rejection("name", "There is no backup " + name + ".");
        }
        return settings.backupFolder().resolve(name);
    }

    /**
     * Makes a backup now and reads it back.
     *
     * @param byHand whether the operator asked for it
     * @throws Rejection when the folder cannot take it
     */
    public Backup make(boolean byHand) {
        oneAtATime.lock();
        try {
            Path folder = settings.backupFolder();
            Files.createDirectories(folder);
            changedSince = false;
            Instant now = clock.instant();
            String name = name(now, byHand);
            // It gets its name when it is whole, so that half a backup is never taken for one.
            Path fresh = folder.resolve(BEING_MADE);
            Files.deleteIfExists(fresh);
            try (Connection connection = database.getConnection()) {
                DatabaseRows.write(connection, fresh, now);
            }
            Restore.content(fresh);
            WholeFile.put(fresh, folder.resolve(name));
            rotate(folder);
            problem = null;
            return new Backup(name, now, Files.size(folder.resolve(name)), byHand);
        } catch (IOException | SQLException e) {
            changedSince = true;
            String sentence = "No backup could be made in " + settings.backupFolder() + ": " + e.getMessage()
                    + ". Choose another folder, or make room.";
            problem = sentence;
            throw new Rejection("backupFolder", sentence);
        } finally {
            oneAtATime.unlock();
        }
    }

    private void rotate(Path folder) throws IOException {
        for (Backup old : BackupsToKeep.surplus(all(), settings.row().backupsKept, clock.instant())) {
            Files.deleteIfExists(folder.resolve(old.name()));
        }
    }
}
