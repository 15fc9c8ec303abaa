package yokebar.app;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.hibernate.Session;
import org.hibernate.StatelessSession;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Inserts many new rows of one kind in JDBC batches within the running transaction, without keeping them as managed
 * entities: an import of a hundred thousand contacts has no use for their snapshots.
 */
@Component
public class BulkInsert {
    private final EntityManager db;

    BulkInsert(EntityManager db) {
        this.db = db;
    }

    /** Gives the rows their numbers and inserts them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void insert(List<?> rows) {
        if (rows.isEmpty()) {
            return;
        }
        Session session = db.unwrap(Session.class);
        session.doWork(connection -> {
            try (StatelessSession bulk = session.getSessionFactory().openStatelessSession(connection)) {
                bulk.insertMultiple(rows);
            }
        });
    }
}
