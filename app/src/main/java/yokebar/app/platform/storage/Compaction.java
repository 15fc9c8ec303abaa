package yokebar.app.platform.storage;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.FileStore;
import org.h2.mvstore.MVStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Gives back the dead space in the log's file: a part at a time in calm minutes, and when Yokebar ends and most of the file is
 * dead, as after a large import, by writing it anew. H2 makes the new file beside the old one and renames it; a kill in between
 * leaves the old one.
 */
@Component
public class Compaction implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Compaction.class);
    /** A smaller file is nobody's trouble. */
    private static final long WORTHWHILE_BYTES = 96L << 20;

    static final int MOSTLY_DEAD_PERCENT = 40;
    /** While the application runs, the file is looked at so often. */
    private static final int LOOK_EVERY_MS = 5_000;

    private static final long LARGE_BYTES = 16L << 20;

    private static final int HALF_DEAD_PERCENT = 60;
    /** More writes than that since the last look, and somebody is at work. */
    private static final long FEW_WRITES = 6;

    /** Sparser parts of the file are written together; what H2 does by itself where writes may wait. */
    private static final int TARGET_PERCENT = 90;

    private static final int AT_ONCE_BYTES = 16 << 20;

    private final DataSource database;
    private final long largeBytes;
    private volatile boolean running;
    private volatile long writtenBefore = -1;

    @Autowired
    Compaction(DataSource database) {
        this(database, LARGE_BYTES);
    }

    /** @param largeBytes a smaller file is left as it is while the application runs */
    Compaction(DataSource database, long largeBytes) {
        this.database = database;
        this.largeBytes = largeBytes;
    }

    @Override
    public void start() {
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        compactIfDue(database, WORTHWHILE_BYTES);
    }

    /** Of the file, what chunks fill; of the chunks, what is still in use. */
    static long livePercent(Statement statement) throws SQLException {
        return info(statement, "FILL_RATE") * info(statement, "CHUNKS_FILL_RATE") / 100;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** After everybody else: the database is closed then. */
    @Override
    public int getPhase() {
        return Integer.MIN_VALUE;
    }

    /** @return whether it was; the database is closed then */
    static boolean compactIfDue(DataSource database, long worthwhileBytes) {
        boolean written = false;
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            long bytes = info(statement, "FILE_SIZE");
            long livePercent = livePercent(statement);
            if (bytes < worthwhileBytes || livePercent >= MOSTLY_DEAD_PERCENT) {
                return false;
            }
            LOG.info("{} % of the log's {} MB are in use; it is written anew", livePercent, bytes >> 20);
            statement.execute("shutdown compact");
            written = true;
            return true;
        } catch (SQLException e) {
            // A pool cannot take back a connection to a database that is closed, and says so.
            if (written) {
                return true;
            }
            LOG.warn("The log's file stays as large as it is: {}", e.getMessage());
            return false;
        }
    }

    /**
     * In calm minutes the file's dead space is given back while the application runs. Each contact is on disk at once, and each
     * time the changed pages are written anew; where writes may wait, H2 does this by itself.
     */
    @Scheduled(fixedDelay = LOOK_EVERY_MS, initialDelay = LOOK_EVERY_MS)
    void compactWhenCalm() {
        if (!running) {
            return;
        }
        try (Connection connection = database.getConnection()) {
            if (!(connection.unwrap(JdbcConnection.class).getSession() instanceof SessionLocal session)) {
                return;
            }
            // Asked directly: a query for these figures would have all of them worked out, every few seconds.
            MVStore store = session.getDatabase().getStore().getMvStore();
            FileStore<?> file = store.getFileStore();
            long written = file.getWriteCount();
            boolean calm = writtenBefore >= 0 && written - writtenBefore <= FEW_WRITES;
            writtenBefore = written;
            if (calm && file.size() >= largeBytes && livePercent(store, file) < HALF_DEAD_PERCENT) {
                long before = file.size();
                store.compact(TARGET_PERCENT, AT_ONCE_BYTES);
                checkpoint(connection);
                LOG.debug("The log's file went from {} to {} kB", before >> 10, file.size() >> 10);
                writtenBefore = file.getWriteCount();
            }
        } catch (SQLException e) {
            LOG.debug("The log's file was not made smaller", e);
        }
    }

    private static long livePercent(MVStore store, FileStore<?> file) {
        return (long) store.getFillRate() * file.getChunksFillRate() / 100;
    }

    private static void checkpoint(Connection connection) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute("checkpoint");
        }
    }

    private static long info(Statement statement, String name) throws SQLException {
        try (ResultSet row = statement.executeQuery(
                "select setting_value from information_schema.settings where setting_name = 'info." + name + "'")) {
            return row.next() ? row.getLong(1) : 0;
        }
    }
}
