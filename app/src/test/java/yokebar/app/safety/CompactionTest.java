package yokebar.app.safety;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CompactionTest {
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

    @Test
    void aFileThatIsMostlyDeadIsWrittenAnew() throws Exception {
        try (Connection connection = database.getConnection();
                Statement statement = connection.createStatement()) {
            statement.execute("delete from t where id > 100");
            statement.execute("checkpoint sync");
        }
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
            try (Connection connection = pool.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("delete from t where id > 100");
                statement.execute("checkpoint sync");
            }
            assertThat(Compaction.compactIfDue(pool, 1)).isTrue();
        }
    }

    @Test
    void aSmallFileOrOneInUseIsLeftAlone() {
        assertThat(Compaction.compactIfDue(database, 1L << 40)).isFalse();
        assertThat(Compaction.compactIfDue(database, 1)).isFalse();
    }
}
