package yokebar.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import yokebar.app.FieldProblem;
import yokebar.app.RestartAsked;
import yokebar.app.safety.StagedLog;

/**
 * Puts a backup in the log's place. It is unpacked and opened first; only when it proves to be a whole log does anything
 * change, and then the log that was there is kept beside. The exchange itself happens between two runs, while nobody has the
 * log open.
 */
@Service
class Restore {

    private final Path home;
    private final ApplicationEventPublisher events;

    Restore(@Value("${yokebar.home}") Path home, ApplicationEventPublisher events) {
        this.home = home.toAbsolutePath();
        this.events = events;
    }

    /**
     * What a backup holds.
     *
     * @param newest when its last contact began; null when it has none
     */
    record Content(long contacts, @Nullable Instant newest) {}

    /**
     * Unpacks and opens a backup.
     *
     * @throws FieldProblem when it is not a whole backup of a log
     */
    Content check(Path backup) {
        Path staged = stage(backup);
        try {
            return content(staged);
        } finally {
            remove(staged);
        }
    }

    /** Checks a backup once more and asks for a restart that puts it in the log's place. */
    Content restore(Path backup) {
        Path staged = stage(backup);
        Content content;
        try {
            content = content(staged);
            Path ready = StagedLog.folder(home);
            remove(ready);
            Files.move(staged, ready, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            remove(staged);
            throw broken(backup, e.getMessage());
        } catch (FieldProblem e) {
            remove(staged);
            throw e;
        }
        events.publishEvent(new RestartAsked());
        return content;
    }

    private Path stage(Path backup) {
        try {
            Path folder = Files.createTempDirectory(home, "restore-check");
            try (InputStream file = Files.newInputStream(backup);
                    ZipInputStream zip = new ZipInputStream(file)) {
                for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                    if (entry.getName().equals(StagedLog.DATABASE)) {
                        Files.copy(zip, folder.resolve(StagedLog.DATABASE));
                    }
                }
            } catch (IOException e) {
                remove(folder);
                throw broken(backup, e.getMessage());
            }
            if (!Files.exists(folder.resolve(StagedLog.DATABASE))) {
                remove(folder);
                throw broken(backup, "there is no log in it");
            }
            return folder;
        } catch (IOException e) {
            throw broken(backup, e.getMessage());
        }
    }

    private static Content content(Path folder) {
        String url = "jdbc:h2:file:" + folder.resolve("log") + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r";
        try (Connection connection = DriverManager.getConnection(url, "yokebar", "");
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(
                        "select count(*), (select max(started_at) from contact), (select count(*) from station)"
                                + " from contact")) {
            row.next();
            OffsetDateTime newest = row.getObject(2, OffsetDateTime.class);
            return new Content(row.getLong(1), newest == null ? null : newest.toInstant());
        } catch (SQLException e) {
            throw broken(folder, "it cannot be opened as a log");
        }
    }

    private static FieldProblem broken(Path backup, @Nullable String why) {
        return new FieldProblem(
                "name",
                backup.getFileName() + " is no whole backup: " + why + ". Nothing was changed; try another one.");
    }

    private static void remove(Path folder) {
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
