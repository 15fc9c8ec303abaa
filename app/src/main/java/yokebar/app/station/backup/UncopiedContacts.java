package yokebar.app.station.backup;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.core.log.contact.LoggedContact;

/**
 * What the second copy does not have yet. It stands in the database, written in the same transaction as the contact or the edit,
 * and is taken off only once the file has it.
 */
@Component
class UncopiedContacts {
    static final int AT_ONCE = 500;

    private final EntityManager db;
    private final Clock clock;
    private final TransactionTemplate transaction;

    UncopiedContacts(EntityManager db, Clock clock, PlatformTransactionManager transactions) {
        this.db = db;
        this.clock = clock;
        this.transaction = new TransactionTemplate(transactions);
    }

    /** In the transaction that logs them. */
    void logged(List<LoggedContact> contacts) {
        db.createNativeQuery("insert into second_copy_due (contact_id) select w.id from unnest(:ids) as w(id)")
                .setParameter("ids", contacts.stream().map(LoggedContact::id).toArray(Long[]::new))
                .executeUpdate();
    }

    /** The copy is to be written anew. Called in the transaction that edits, deletes or restores contacts. */
    void edited() {
        transaction.executeWithoutResult(status -> db.createNativeQuery(
                        "insert into second_copy_edit (id, made_at) values (next value for second_copy_edit_seq, :at)")
                .setParameter("at", clock.instant())
                .executeUpdate());
    }

    /** The next five hundred contacts at most, oldest first. */
    List<Long> due() {
        return ids("select contact_id from second_copy_due order by contact_id limit " + AT_ONCE);
    }

    void copied(List<Long> contacts) {
        delete("delete from second_copy_due where contact_id = any(:ids)", contacts);
    }

    /** Edits that are stored. One whose transaction is not over is not among them and stays for the next time. */
    List<Long> edits() {
        return ids("select id from second_copy_edit");
    }

    /** Whether nothing was edited from then on. */
    boolean calmSince(Instant then) {
        return transaction
                .execute(status -> db.createNativeQuery(
                                "select count(*) from second_copy_edit where made_at > :then", Long.class)
                        .setParameter("then", then)
                        .getSingleResult())
                .equals(0L);
    }

    void editsCopied(List<Long> edits) {
        delete("delete from second_copy_edit where id = any(:ids)", edits);
    }

    private List<Long> ids(String query) {
        return transaction.execute(
                status -> db.createNativeQuery(query, Long.class).getResultList());
    }

    private void delete(String statement, List<Long> ids) {
        transaction.executeWithoutResult(status -> db.createNativeQuery(statement)
                .setParameter("ids", ids.toArray(Long[]::new))
                .executeUpdate());
    }
}
