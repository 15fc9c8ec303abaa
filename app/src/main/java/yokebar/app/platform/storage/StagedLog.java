package yokebar.app.platform.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;

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
    static void carryOut(Path home) throws IOException {
        Path ready = folder(home).resolve(DATABASE);
        if (!Files.exists(ready)) {
            return;
        }
        Path log = home.resolve(DATABASE);
        if (Files.exists(log)) {
            Files.move(log, home.resolve("replaced-" + NAMED.format(Instant.now()) + ".mv.db"));
        }
        Files.deleteIfExists(home.resolve("search-index"));
        Files.move(ready, log, StandardCopyOption.ATOMIC_MOVE);
        Files.deleteIfExists(folder(home));
    }
}
