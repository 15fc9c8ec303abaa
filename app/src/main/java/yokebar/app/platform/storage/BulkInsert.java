package yokebar.app.platform.storage;

import jakarta.persistence.EntityManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hibernate.engine.spi.SessionImplementor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Inserts many new rows of one kind in JDBC batches within the running transaction, without keeping them as managed
 * entities: an import of a hundred thousand contacts has no use for their snapshots.
 */
@Component
public class BulkInsert {
    private static final int ROWS_AT_ONCE = 500;

    private final EntityManager db;
    private final Map<Class<?>, RowInsert> inserts = new ConcurrentHashMap<>();

    BulkInsert(EntityManager db) {
        this.db = db;
    }

    /** Gives the rows their numbers and inserts them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void insert(List<?> rows) {
        if (rows.isEmpty()) {
            return;
        }
        SessionImplementor session = db.unwrap(SessionImplementor.class);
        RowInsert insert = inserts.computeIfAbsent(
                rows.get(0).getClass(),
                kind -> RowInsert.into(
                        session.getFactory().getMappingMetamodel().getEntityDescriptor(kind)));
        session.doWork(connection -> {
            try (PreparedStatement statement = connection.prepareStatement(insert.sql())) {
                write(rows, insert, statement, session);
            }
        });
    }

    private static void write(List<?> rows, RowInsert insert, PreparedStatement statement, SessionImplementor session)
            throws SQLException {
        int waiting = 0;
        for (Object row : rows) {
            insert.bind(row, statement, session);
            statement.addBatch();
            if (++waiting == ROWS_AT_ONCE) {
                statement.executeBatch();
                waiting = 0;
            }
        }
        if (waiting > 0) {
            statement.executeBatch();
        }
    }
}
