package yokebar.app.platform.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.stream.Stream;

/** A log that was made ready to take the place of the one in the data folder, between two runs. */
public final class StagedLog {
    /** The database in the data folder and in backups. */
    public static final String DATABASE = "log.mv.db";

    private static final DateTimeFormatter NAMED =
            DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

    private StagedLog() {}

    /** Where a database file waits to take the log's place. */
    public static Path folder(Path home) {
        return home.resolve("restore");
    }

    /** Puts what was made ready in the log's place and keeps what was there beside it, before anybody opens the log. */
    public static void carryOut(Path home) throws IOException {
        Path ready = folder(home).resolve(DATABASE);
        if (!Files.exists(ready)) {
            return;
        }
        Path log = home.resolve(DATABASE);
        if (Files.exists(log)) {
            Files.move(log, home.resolve("replaced-" + NAMED.format(Instant.now()) + ".mv.db"));
        }
        Files.deleteIfExists(home.resolve("search-index"));
        WholeFile.put(ready, log);
        removeRest(folder(home));
    }

    /** What the database wrote beside its file is of no use any more. */
    private static void removeRest(Path folder) throws IOException {
        try (Stream<Path> rest = Files.list(folder)) {
            for (Path file : rest.toList()) {
                Files.delete(file);
            }
        }
        Files.delete(folder);
    }
}
