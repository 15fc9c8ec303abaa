package yokebar.app.station.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.h2.mvstore.MVStoreException;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.storage.DatabasePassword;
import yokebar.app.platform.storage.StagedLog;
import yokebar.app.platform.storage.WholeFile;

/**
 * What can be done when the log's database cannot be opened. Whatever is chosen, the file that was there is kept beside the log
 * under another name.
 */
public final class DamagedLog {
    /** H2: file corrupted, wrong user or password, general error, version not supported. */
    private static final Set<Integer> CODES = Set.of(90030, 28000, 50000, 90048);

    private static final DateTimeFormatter NAMED =
            DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

    private final Path home;

    public DamagedLog(Path home) {
        this.home = home.toAbsolutePath();
    }

    /** Whether the application did not start because the database cannot be opened. */
    public static boolean causes(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof MVStoreException
                    || cause instanceof SQLException sql && CODES.contains(sql.getErrorCode())) {
                return true;
            }
        }
        return false;
    }

    /** What is the matter, in a sentence. */
    static String sentence(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && sql.getErrorCode() == 28000) {
                return "The file with the database's password is missing or another one.";
            }
        }
        return "The file with the log is damaged, as after a fault of the disk.";
    }

    /**
     * A backup that could take the log's place.
     *
     * @param contacts how many it holds
     */
    record Offer(Path file, Instant madeAt, long contacts) {}

    /** The newest whole backup in the usual folder; null when there is none. */
    @Nullable
    Offer newestBackup() {
        List<Path> backups = new ArrayList<>();
        try (Stream<Path> files = Files.list(home.resolve("backups"))) {
            files.filter(file -> file.getFileName().toString().matches("yokebar-[0-9-]+(-by-hand)?\\.zip"))
                    .sorted(Comparator.reverseOrder())
                    .forEach(backups::add);
        } catch (IOException e) {
            return null;
        }
        for (Path backup : backups) {
            try {
                Restore.Content content = Restore.content(backup);
                Instant madeAt = content.madeAt();
                return new Offer(backup, madeAt == null ? Instant.EPOCH : madeAt, content.contacts());
            } catch (IOException e) {
                // Not whole; an older one may be.
            }
        }
        return null;
    }

    /** The second copy; null when there is none or its folder is not there. */
    @Nullable
    Path secondCopy() {
        return CopyPlace.file(home);
    }

    /** Puts a backup in the log's place; the next start adds what only the second copy has. */
    void useBackup(Path backup) throws IOException {
        stage(backup, null);
    }

    /** The next start makes an empty log and takes the contacts of the second copy in. */
    void useSecondCopy() throws IOException {
        readCopyBack();
        keepDamaged();
    }

    private void readCopyBack() throws IOException {
        Path copy = secondCopy();
        if (copy != null) {
            ReadBack.atNextStart(home, copy);
        }
    }

    /**
     * Builds a log of all rows that can be read.
     *
     * @return a sentence for what could not
     */
    List<String> salvage() throws IOException {
        Path work = Files.createTempDirectory(home, "salvage");
        try {
            Path rows = work.resolve("rows.zip");
            DatabaseFile.Salvaged read = DatabaseFile.toArchive(home.resolve(StagedLog.DATABASE), rows, Instant.now());
            List<String> losses = new ArrayList<>(read.losses());
            stage(rows, losses);
            return losses;
        } finally {
            Restore.remove(work);
        }
    }

    /** The next start makes an empty log. */
    void startEmpty() throws IOException {
        ReadBack.cancel(home);
        keepDamaged();
    }

    /**
     * Builds a log and puts it in the place of the damaged one. Where it may lack something, the next start adds what the second
     * copy has.
     *
     * @param losses null for a backup, which is whole but older
     */
    private void stage(Path rows, @Nullable List<String> losses) throws IOException {
        Path work = Files.createTempDirectory(home, "rebuild");
        try {
            Path built = Files.createDirectories(work.resolve("built"));
            try (ArchiveReader archive = new ArchiveReader(rows)) {
                new LogBuilder(built, DatabasePassword.of(home)).build(archive, losses);
            }
            if (losses == null || !losses.isEmpty()) {
                readCopyBack();
            }
            // From here on, whatever happens, the next start finds the built log and puts it in its place.
            Restore.remove(StagedLog.folder(home));
            WholeFile.put(built, StagedLog.folder(home));
            keepDamaged();
            StagedLog.carryOut(home);
        } finally {
            Restore.remove(work);
        }
    }

    private void keepDamaged() throws IOException {
        Path log = home.resolve(StagedLog.DATABASE);
        if (Files.exists(log)) {
            Files.move(log, home.resolve("damaged-" + NAMED.format(Instant.now()) + ".mv.db"));
        }
        Files.deleteIfExists(home.resolve("search-index"));
    }
}
