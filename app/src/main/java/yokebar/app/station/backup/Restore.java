package yokebar.app.station.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.lifecycle.RestartAsked;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.DatabasePassword;
import yokebar.app.platform.storage.StagedLog;
import yokebar.app.platform.storage.WholeFile;

/**
 * Puts a backup in the log's place. It may come from anybody: it is read as data, a new log is built of its rows, and only when
 * that is whole does anything change; the log that was there is kept beside. The exchange itself happens between two runs,
 * while nobody has the log open.
 */
@Service
class Restore {
    /** An older backup holds a database file, which compresses less well than rows. */
    private static final long MAX_DATABASE_RATIO = 100;

    private static final long FREE_BYTES = 64L << 20;

    private final Path home;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    @Autowired
    Restore(YokebarProperties properties, ApplicationEventPublisher events, Clock clock) {
        this(properties.home(), events, clock);
    }

    Restore(Path home, ApplicationEventPublisher events, Clock clock) {
        this.home = home.toAbsolutePath();
        this.events = events;
        this.clock = clock;
    }

    /**
     * What a backup holds.
     *
     * @param newest when its last contact began; null when it has none
     * @param holds what is in it, in words
     * @param lacks what is not in it, in words
     */
    record Content(
            long contacts,
            @Nullable Instant newest,
            @Nullable Instant madeAt,
            List<String> holds,
            List<String> lacks) {}

    /**
     * Reads a backup to its end and compares its checksums; nothing in it is executed.
     *
     * @throws Rejection when it is not a whole backup of a log
     */
    Content check(Path backup) {
        Path work = workFolder();
        try {
            return content(asRows(backup, work));
        } catch (IOException e) {
            throw broken(backup, e.getMessage());
        } finally {
            remove(work);
        }
    }

    /** Builds a log of a backup and asks for a restart that puts it in the log's place. */
    Content restore(Path backup) {
        Path work = workFolder();
        try {
            Path rows = asRows(backup, work);
            Content content = content(rows);
            build(rows, work);
            events.publishEvent(new RestartAsked());
            return content;
        } catch (IOException e) {
            throw broken(backup, e.getMessage());
        } finally {
            remove(work);
        }
    }

    private void build(Path rows, Path work) throws IOException {
        Path staged = work.resolve("built");
        Files.createDirectories(staged);
        try (ArchiveReader archive = new ArchiveReader(rows)) {
            new LogBuilder(staged, DatabasePassword.of(home)).build(archive);
        }
        Path ready = StagedLog.folder(home);
        remove(ready);
        WholeFile.put(staged, ready);
    }

    /** A backup of an earlier edition is a database file; its rows are taken out without opening it as a database. */
    private Path asRows(Path backup, Path work) throws IOException {
        if (!ArchiveReader.isDatabase(backup, StagedLog.DATABASE)) {
            return backup;
        }
        Path database = work.resolve("earlier.mv.db");
        Path rows = work.resolve("rows.zip");
        long limit = Math.max(FREE_BYTES, MAX_DATABASE_RATIO * Files.size(backup));
        try (ZipFile zip = new ZipFile(backup.toFile())) {
            ZipEntry entry = zip.getEntry(StagedLog.DATABASE);
            try (InputStream in = zip.getInputStream(entry);
                    var out = Files.newOutputStream(database)) {
                byte[] piece = new byte[1 << 16];
                long written = 0;
                for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
                    written += read;
                    if (written > limit) {
                        throw new BackupFormatException("it unpacks to far more than a log can hold");
                    }
                    out.write(piece, 0, read);
                }
            }
        }
        DatabaseFile.Salvaged read = DatabaseFile.toArchive(database, rows, clock.instant());
        if (!read.losses().isEmpty()) {
            throw new BackupFormatException(String.join(" ", read.losses()));
        }
        return rows;
    }

    static Content content(Path rows) throws IOException {
        long[] contacts = new long[1];
        Instant[] newest = new Instant[1];
        try (ArchiveReader archive = new ArchiveReader(rows)) {
            boolean log = false;
            for (BackupManifest.Table table : archive.manifest().tables()) {
                boolean isLog = table.name().equals("contact");
                log |= isLog;
                int at = table.columns().indexOf("started_at");
                archive.rows(table, row -> {
                    if (isLog && at >= 0) {
                        contacts[0]++;
                        Instant began = instant(row.get(at).asString());
                        newest[0] = newest[0] == null || began.isAfter(newest[0]) ? began : newest[0];
                    }
                });
            }
            if (!log) {
                throw new BackupFormatException("there is no log in it");
            }
            BackupManifest manifest = archive.manifest();
            return new Content(contacts[0], newest[0], manifest.madeAt(), manifest.holds(), manifest.lacks());
        }
    }

    /** As the database writes it: {@code 2026-05-01 14:07:00+00} or with a T. */
    private static Instant instant(String text) throws BackupFormatException {
        try {
            String iso = text.replace(' ', 'T').replaceAll("([+-]\\d{2})$", "$1:00");
            return OffsetDateTime.parse(iso).toInstant();
        } catch (DateTimeException e) {
            throw new BackupFormatException("the time of a contact cannot be read");
        }
    }

    private Path workFolder() {
        try {
            return Files.createTempDirectory(home, "restore-check");
        } catch (IOException e) {
            throw new Rejection("name", "There is no room on the disk for the preview: " + e.getMessage() + ".");
        }
    }

    private static Rejection broken(Path backup, @Nullable String why) {
        return new Rejection(
                "name",
                backup.getFileName() + " is not a complete backup: " + why + ". Nothing was changed; try another one.");
    }

    static void remove(Path folder) {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new IllegalStateException("The folder " + folder + " could not be removed.", e);
        }
    }
}
