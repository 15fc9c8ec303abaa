package yokebar.app.platform.storage;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/**
 * Opens the database again after a write failed. H2 closes a database whose file could not be written, and the pool would go on
 * handing out connections to the closed one; when all of them are given up, the next one opens the file anew, as after a crash.
 */
@Component
class DatabaseRevival {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseRevival.class);

    private final ObjectProvider<DataSource> database;

    DatabaseRevival(ObjectProvider<DataSource> database) {
        this.database = database;
    }

    /** Whether the database answers; when it does not, its connections are given up so that it is opened anew. */
    boolean answers() {
        DataSource source = database.getObject();
        try (Connection connection = source.getConnection();
                Statement statement = connection.createStatement();
                ResultSet row =
                        statement.executeQuery("select max(\"installed_rank\") from \"flyway_schema_history\"")) {
            return row.next();
        } catch (SQLException e) {
            LOG.debug("The database does not answer", e);
            giveUpConnections(source);
            return false;
        }
    }

    private static void giveUpConnections(DataSource source) {
        try {
            HikariPoolMXBean pool = source.unwrap(HikariDataSource.class).getHikariPoolMXBean();
            if (pool != null) {
                pool.softEvictConnections();
            }
        } catch (SQLException e) {
            LOG.debug("The connections cannot be given up", e);
        }
    }
}
