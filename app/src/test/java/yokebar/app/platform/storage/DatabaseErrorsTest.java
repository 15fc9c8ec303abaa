package yokebar.app.platform.storage;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;

class DatabaseErrorsTest {
    private final DatabaseErrors errors = new DatabaseErrors();

    private void run(String sql) {
        try (HikariDataSource database = new HikariDataSource()) {
            database.setJdbcUrl("jdbc:h2:mem:errors");
            errors.postProcessBeforeInitialization(database, "database");
            try (Connection connection = database.getConnection();
                    Statement statement = connection.createStatement()) {
                statement.execute("create table one (id int primary key)");
                statement.execute("insert into one values (1)");
                statement.execute(sql);
            } catch (SQLException e) {
                // what is tested
            }
        }
    }

    @Test
    void whatTheDatabaseReportsIsNotedOnce() {
        run("shutdown immediately");
        run("select * from two");
        assertThat(errors.take()).isTrue();
        assertThat(errors.take()).isFalse();
    }

    @Test
    void errorsOfTheDataAreNone() {
        run("insert into one values (1)");
        run("select cast('a' as int)");
        assertThat(errors.take()).isFalse();
    }
}
