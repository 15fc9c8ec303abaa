package yokebar.app.operate.contest.sending;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * The serials that were sent before their contacts were logged. A serial that somebody heard belongs to that contact, also when
 * another position logs meanwhile or the application ends; one that is not logged in the end leaves a gap.
 */
@Repository
public class SentSerials {
    private final EntityManager db;

    SentSerials(EntityManager db) {
        this.db = db;
    }

    /**
     * A serial that was sent.
     *
     * @param lineKey of the line on which the contact is typed
     * @param call of the station that heard it
     */
    public record Sent(String lineKey, int serial, String call, Instant at) {}

    /** The serial that was sent from a line. */
    @Transactional(readOnly = true)
    public OptionalInt of(long bookId, String lineKey) {
        SerialRow row = db.find(SerialRow.class, new SerialRow.Line(bookId, lineKey));
        return row == null ? OptionalInt.empty() : OptionalInt.of(row.serial);
    }

    /** The highest that was sent; 0 when none was. */
    @Transactional(readOnly = true)
    public int highest(long bookId) {
        Integer highest = db.createQuery("select max(serial) from SerialRow where line.bookId = :book", Integer.class)
                .setParameter("book", bookId)
                .getSingleResult();
        return highest == null ? 0 : highest;
    }

    /** In their order. */
    @Transactional(readOnly = true)
    public List<Sent> all(long bookId) {
        return db.createQuery("from SerialRow where line.bookId = :book order by serial", SerialRow.class)
                .setParameter("book", bookId)
                .getResultStream()
                .map(row -> new Sent(row.line.lineKey(), row.serial, row.call, row.sentAt))
                .toList();
    }

    /**
     * Stores that a serial is about to be sent; whoever calls sees to it that no other line has it. Another station can hear it from
     * the same line, when the first was given up.
     */
    @Transactional
    public void give(long bookId, Sent sent) {
        SerialRow.Line line = new SerialRow.Line(bookId, sent.lineKey());
        SerialRow known = db.find(SerialRow.class, line);
        SerialRow row = known == null ? new SerialRow() : known;
        row.line = line;
        row.serial = sent.serial();
        row.call = sent.call();
        row.sentAt = sent.at();
        db.persist(row);
    }
}
