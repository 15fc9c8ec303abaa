package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import javax.sql.DataSource;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CompactionTest {
    private static final long LARGE_BYTES = 8L << 20;

    @TempDir
    private Path folder;

    private JdbcDataSource database;

    @BeforeEach
    void fill() throws Exception {
        database = new JdbcDataSource();
        database.setURL("jdbc:h2:file:" + folder.resolve("log") + ";DB_CLOSE_DELAY=-1");
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("create table t (id int primary key, text varchar(2000))");
            statement.execute(
                    "insert into t select x, random_uuid() || repeat(random_uuid(), 20) from system_range(1, 10000)");
        }
    }

    private long bytes() throws Exception {
        return Files.size(folder.resolve("log.mv.db"));
    }

    /** What was deleted counts as dead only when the database has let go of the versions before. */
    private static void deleteMost(DataSource database) throws Exception {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("delete from t where id > 100");
            await().until(() -> {
                statement.execute("update t set text = 'x' where id = 1");
                statement.execute("checkpoint sync");
                return Compaction.livePercent(statement) < Compaction.MOSTLY_DEAD_PERCENT / 2;
            });
        }
    }

    @Test
    void aFileThatIsMostlyDeadIsWrittenAnew() throws Exception {
        deleteMost(database);
        long before = bytes();
        assertThat(Compaction.compactIfDue(database, 1)).isTrue();
        assertThat(bytes()).isLessThan(before / 4);
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select count(*) from t")) {
            row.next();
            assertThat(row.getInt(1)).isEqualTo(100);
        }
    }

    /** What is to happen with the file afterwards, such as a backup of it, waits for this answer. */
    @Test
    void throughAPoolItIsToldToo() throws Exception {
        try (HikariDataSource pool = new HikariDataSource()) {
            pool.setDataSource(database);
            deleteMost(pool);
            assertThat(Compaction.compactIfDue(pool, 1)).isTrue();
        }
    }

    @Test
    void aSmallFileOrOneInUseIsLeftAlone() {
        assertThat(Compaction.compactIfDue(database, 1L << 40)).isFalse();
        assertThat(Compaction.compactIfDue(database, 1)).isFalse();
    }

    @Test
    void calmMinutesMakeTheFileSmallerWhileItIsOpen() throws Exception {
        JdbcDataSource durable = new JdbcDataSource();
        durable.setURL(
                "jdbc:h2:file:" + folder.resolve("durable") + ";DB_CLOSE_DELAY=-1;WRITE_DELAY=0;RETENTION_TIME=500");
        Path file = folder.resolve("durable.mv.db");
        try (Connection connection = durable.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("create table t (id int primary key, a varchar(400), b varchar(400))");
            statement.execute("create index t_a on t (a)");
            statement.execute("create index t_b on t (b)");
            for (int i = 0; Files.size(file) < 2 * LARGE_BYTES; i++) {
                statement.execute("insert into t values (" + i + ", random_uuid() || repeat('x', 300), random_uuid())");
            }
        }
        int rows = count(durable);
        Compaction compaction = new Compaction(durable, LARGE_BYTES);
        compaction.start();
        // What was written a moment ago is kept for a crash; that moment is shorter here.
        await().atMost(Duration.ofSeconds(30)).pollInSameThread().untilAsserted(() -> {
            compaction.compactWhenCalm();
            assertThat(Files.size(file)).isLessThan(LARGE_BYTES);
        });
        assertThat(count(durable)).isEqualTo(rows);
    }

    private static int count(JdbcDataSource source) throws Exception {
        try (Connection connection = source.getConnection();
                Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery("select count(*) from t")) {
            row.next();
            return row.getInt(1);
        }
    }
}
