package yokebar.app.operate.contest.team;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;

/** What positions said to each other about a book. */
@Repository
class TeamMessages {
    private static final int MAX_SHOWN = 50;
    /** Older ones of a book are dropped. */
    private static final int MAX_KEPT = 1_000;

    private final EntityManager db;

    TeamMessages(EntityManager db) {
        this.db = db;
    }

    @Transactional
    void add(MessageRow message) {
        db.persist(message);
        db.flush();
        db.createQuery("select id from MessageRow where bookId = :book order by id desc", Long.class)
                .setParameter("book", message.bookId)
                .setFirstResult(MAX_KEPT)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .ifPresent(oldest -> db.createQuery("delete MessageRow where bookId = :book and id <= :oldest")
                        .setParameter("book", message.bookId)
                        .setParameter("oldest", oldest)
                        .executeUpdate());
    }

    /** The newest first. */
    @Transactional(readOnly = true)
    List<MessageRow> latest(long bookId) {
        return db.createQuery("from MessageRow where bookId = :book order by id desc", MessageRow.class)
                .setParameter("book", bookId)
                .setMaxResults(MAX_SHOWN)
                .getResultList();
    }

    /** Somebody takes a station that was passed on; nothing happens when it was taken already. */
    @Transactional
    void take(long bookId, long id) {
        MessageRow message = db.find(MessageRow.class, id);
        if (message == null || message.bookId != bookId || message.call == null) {
            throw Rejection.notThere("No such station was passed on in this contest.");
        }
        message.taken = true;
    }
}
