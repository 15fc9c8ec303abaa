package yokebar.app.log.change;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What is still to be done of changes of many contacts. */
@Component
class ChangeParts {
    private static final int AT_ONCE = 1000;

    private final EntityManager db;

    ChangeParts(EntityManager db) {
        this.db = db;
    }

    /** Contacts that are changed in one transaction. */
    record Part(int number, List<Long> contactIds) {}

    /** Notes what is to be done, within the transaction that opens the change. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void plan(long changeId, long[] contactIds) {
        for (int from = 0; from < contactIds.length; from += AT_ONCE) {
            Long[] some = LongStream.of(
                            Arrays.copyOfRange(contactIds, from, Math.min(from + AT_ONCE, contactIds.length)))
                    .boxed()
                    .toArray(Long[]::new);
            db.createNativeQuery("insert into change_part (change_id, part, contact_ids) values (:change, :part, :ids)")
                    .setParameter("change", changeId)
                    .setParameter("part", from / AT_ONCE)
                    .setParameter("ids", some)
                    .executeUpdate();
        }
    }

    /** The next part of a change; empty when all of it is done. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Part> next(long changeId) {
        List<Tuple> rows = db.createNativeQuery(
                        "select part, contact_ids from change_part where change_id = :change order by part",
                        Tuple.class)
                .setParameter("change", changeId)
                .setMaxResults(1)
                .getResultList();
        return rows.stream()
                .map(row -> new Part(row.get(0, Number.class).intValue(), ids(row.get(1))))
                .findFirst();
    }

    private static List<Long> ids(Object array) {
        List<Long> ids = new ArrayList<>();
        for (Object id : (Object[]) array) {
            ids.add(((Number) id).longValue());
        }
        return ids;
    }

    /** Takes a part off, within the transaction that carried it out. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void done(long changeId, Part part) {
        db.createNativeQuery("delete from change_part where change_id = :change and part = :part")
                .setParameter("change", changeId)
                .setParameter("part", part.number())
                .executeUpdate();
    }

    /** What is left of a change is not to be done. */
    @Transactional
    public void giveUp(long changeId) {
        db.createNativeQuery("delete from change_part where change_id = :change")
                .setParameter("change", changeId)
                .executeUpdate();
    }

    /** The changes of which something is left, the oldest first. */
    @Transactional(readOnly = true)
    public List<Long> unfinished() {
        return db.createNativeQuery("select distinct change_id from change_part order by change_id", Long.class)
                .getResultList();
    }
}
