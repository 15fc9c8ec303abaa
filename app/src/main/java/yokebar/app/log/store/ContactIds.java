package yokebar.app.log.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Finds ids of contacts for those who keep something of each contact in tables of their own. */
@Repository
public class ContactIds {
    private final EntityManager db;

    ContactIds(EntityManager db) {
        this.db = db;
    }

    /** Those after an id, in order. */
    @Transactional(readOnly = true)
    public List<Long> after(long id, int max) {
        return db.createNativeQuery("select id from contact where id > :id order by id limit " + max, Long.class)
                .setParameter("id", id)
                .getResultList();
    }

    /** @param call as it is written in the contacts */
    @Transactional(readOnly = true)
    public List<Long> ofCall(String call) {
        return db.createNativeQuery("select id from contact where call_sign = :call", Long.class)
                .setParameter("call", call)
                .getResultList();
    }

    /** Those of these that start within a span, in order. */
    @Transactional(readOnly = true)
    public List<Long> startingBetween(Collection<Long> ids, Instant from, Instant until, int max) {
        return db.createNativeQuery(
                        "select c.id from unnest(:ids) as w(id) join contact c on c.id = w.id"
                                + " where c.started_at between :from and :until order by c.id limit " + max,
                        Long.class)
                .setParameter("ids", ids.toArray(Long[]::new))
                .setParameter("from", from)
                .setParameter("until", until)
                .getResultList();
    }

    /**
     * Contacts made under one own call.
     *
     * @param from the first of them starts, UTC
     * @param until the last of them starts, UTC
     */
    public record OwnCallSpan(String ownCall, long contacts, Instant from, Instant until) {}

    /** How these are spread over own calls, those with the most contacts first. */
    @Transactional(readOnly = true)
    public List<OwnCallSpan> byOwnCall(Collection<Long> ids) {
        List<Tuple> rows = db.createNativeQuery(
                        "select c.own_call, count(*), min(c.started_at), max(c.started_at)"
                                + " from unnest(:ids) as w(id) join contact c on c.id = w.id"
                                + " group by c.own_call order by 2 desc",
                        Tuple.class)
                .setParameter("ids", ids.toArray(Long[]::new))
                .getResultList();
        return rows.stream()
                .map(row -> new OwnCallSpan(
                        row.get(0, String.class),
                        row.get(1, Number.class).longValue(),
                        instant(row.get(2)),
                        instant(row.get(3))))
                .toList();
    }

    /** A minimum comes as the database has it, not as the column is mapped. */
    private static Instant instant(Object value) {
        return value instanceof OffsetDateTime time ? time.toInstant() : (Instant) value;
    }
}
