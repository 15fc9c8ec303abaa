package yokebar.app.log.store;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.Seal;
import yokebar.app.log.Seals;
import yokebar.app.log.change.LogChanges;
import yokebar.app.platform.storage.BulkInsert;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Provenance;

/** The stored contacts. Whoever changes them does so here, inside a transaction, and the others hear of it in the same one. */
@Service
public class ContactLog {
    /** At most one contact in so many, and no more than so many, may have a date that says nothing of where the log begins. */
    private static final long CONTACTS_PER_ODD_START = 200;

    private static final long MAX_ODD_STARTS = 20;

    private final EntityManager db;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Seals seals;
    private final BulkInsert bulk;
    private final LogChanges changes;
    private final LogSize size;
    private final EntityFields entities;

    ContactLog(
            EntityManager db,
            BulkInsert bulk,
            ApplicationEventPublisher events,
            Clock clock,
            Seals seals,
            LogSize size,
            LogChanges changes,
            EntityFields entities) {
        this.entities = entities;
        this.db = db;
        this.events = events;
        this.clock = clock;
        this.seals = seals;
        this.bulk = bulk;
        this.changes = changes;
        this.size = size;
    }

    /**
     * A contact about to be logged.
     *
     * @param held whether it waits with every service until the operator lets it go; alike for all that are logged together
     * @param origins which service is meant by an origin that its fields name, likewise
     */
    public record NewContact(
            Contact contact,
            Provenance provenance,
            @Nullable Long placeId,
            boolean held,
            Map<String, Integer> origins) {}

    /** Contacts with one of these calls that start within the span, both ends included. */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<LoggedContact> around(Collection<String> calls, Instant from, Instant until) {
        // Joined to the calls, so that each is one look into the index by call and time; given "in (…)" or "any(…)", H2
        // compares every contact of the span with every call.
        List<ContactRow> rows = db.createNativeQuery(
                        "select c.* from unnest(:calls) as wanted(call_sign) join contact c"
                                + " on c.call_sign = wanted.call_sign and c.started_at between :from and :until",
                        ContactRow.class)
                .setParameter("calls", calls.toArray(String[]::new))
                .setParameter("from", from)
                .setParameter("until", until)
                .getResultList();
        return rows.stream().map(ContactRow::logged).toList();
    }

    /**
     * A call around a time.
     *
     * @param start UTC
     */
    public record Moment(String call, Instant start) {}

    /** Contacts that start no further from one of these moments than {@code apart}, with its call. */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<LoggedContact> around(Collection<Moment> moments, Duration apart) {
        List<ContactRow> rows = db.createNativeQuery(
                        "select distinct c.* from unnest(:calls, :froms, :untils) as wanted(call_sign, from_at, until_at)"
                                + " join contact c on c.call_sign = wanted.call_sign"
                                + " and c.started_at between wanted.from_at and wanted.until_at",
                        ContactRow.class)
                .setParameter("calls", moments.stream().map(Moment::call).toArray(String[]::new))
                .setParameter(
                        "froms",
                        moments.stream()
                                .map(moment -> moment.start().minus(apart))
                                .toArray(Instant[]::new))
                .setParameter(
                        "untils",
                        moments.stream()
                                .map(moment -> moment.start().plus(apart))
                                .toArray(Instant[]::new))
                .getResultList();
        return rows.stream().map(ContactRow::logged).toList();
    }

    /** Contacts that start within the span, both ends included, the latest first; at most so many. */
    @Transactional(readOnly = true)
    public List<LoggedContact> between(Instant from, Instant until, int max) {
        return db.createQuery(
                        "from ContactRow where startedAt between :from and :until order by startedAt desc, id desc",
                        ContactRow.class)
                .setParameter("from", from)
                .setParameter("until", until)
                .setMaxResults(max)
                .getResultStream()
                .map(ContactRow::logged)
                .toList();
    }

    /**
     * When the log begins, UTC; empty for an empty log. Of a long log the oldest few contacts do not count: one with a wrong date
     * is not the beginning.
     */
    @Transactional(readOnly = true)
    public Optional<Instant> firstStart() {
        long odd = Math.min(MAX_ODD_STARTS, size() / CONTACTS_PER_ODD_START);
        return db.createQuery("select startedAt from ContactRow order by startedAt", Instant.class)
                .setFirstResult((int) odd)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** Stores new contacts; the numbers they got are in the result, in the same order. */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<LoggedContact> add(List<NewContact> contacts) {
        Instant now = clock.instant();
        List<ContactRow> rows = new ArrayList<>(contacts.size());
        for (NewContact entry : contacts) {
            ContactRow row = new ContactRow();
            ContactColumns.fill(row, entry.contact(), entry.provenance());
            row.placeId = entry.placeId();
            row.loggedAt = now;
            rows.add(row);
        }
        bulk.insert(rows);
        List<LoggedContact> logged = new ArrayList<>(contacts.size());
        for (int i = 0; i < rows.size(); i++) {
            NewContact entry = contacts.get(i);
            logged.add(new LoggedContact(rows.get(i).number(), entry.contact(), entry.provenance()));
        }
        if (!logged.isEmpty()) {
            events.publishEvent(new ContactsLogged(
                    List.copyOf(logged), contacts.get(0).held(), contacts.get(0).origins()));
        }
        return logged;
    }

    /** Replaces stored contacts by their merged or edited form, and keeps them as they were with the change. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void replace(Collection<LoggedContact> after, long changeId) {
        replace(after, rows(after.stream().map(LoggedContact::id).toList()), changeId);
    }

    /** @param rows as they are now, loaded in the running transaction */
    public void replace(Collection<LoggedContact> after, Map<Long, ContactRow> rows, long changeId) {
        List<Long> ids = after.stream().map(LoggedContact::id).toList();
        changes.keep(changeId, PastContact.Fate.EDITED, ids);
        List<ContactsChanged.Change> changed = new ArrayList<>(ids.size());
        for (LoggedContact contact : after) {
            ContactRow row = rows.get(contact.id());
            if (row == null) {
                throw new IllegalStateException("contact " + contact.id() + " is not in the log");
            }
            changed.add(new ContactsChanged.Change(ContactColumns.contact(row), contact));
            ContactColumns.fill(row, contact.contact(), contact.provenance());
        }
        events.publishEvent(new ContactsChanged(List.copyOf(changed)));
    }

    /** Notes that more trusted sources said what is in the log already; for the contacts themselves nothing changes. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void restate(Collection<LoggedContact> contacts) {
        for (LoggedContact contact : contacts) {
            db.createNativeQuery("update contact set provenance = :provenance where id = :id")
                    .setParameter("provenance", contact.provenance().text())
                    .setParameter("id", contact.id())
                    .executeUpdate();
        }
    }

    /** Takes contacts out of the log and keeps them with the change. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void delete(List<Long> ids, long changeId) {
        changes.keep(changeId, PastContact.Fate.DELETED, ids);
        events.publishEvent(new ContactsDeleted(changeId, ids));
        db.createNativeQuery("delete from contact where id = any(:ids)")
                .setParameter("ids", ids.toArray(Long[]::new))
                .executeUpdate();
    }

    /** Takes contacts out of the log that became part of others. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void remove(List<Long> ids, long changeId) {
        db.flush();
        db.clear();
        delete(ids, changeId);
    }

    /** Brings back what a change deleted, under the same numbers. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void restore(List<Long> ids, long deletedBy) {
        Long[] numbers = ids.toArray(Long[]::new);
        // Its history goes on behind the version that was deleted. Number and version are the first columns of both
        // tables.
        db.createNativeQuery("insert into contact select p.id, p.version + 1,"
                        + " p.* except (p.change_id, p.fate, p.id, p.version) from unnest(:ids) as w(id)"
                        + " join contact_past p on p.id = w.id and p.change_id = :change")
                .setParameter("ids", numbers)
                .setParameter("change", deletedBy)
                .executeUpdate();
        List<LoggedContact> contacts =
                rows(ids).values().stream().map(ContactRow::logged).toList();
        events.publishEvent(new ContactsRestored(deletedBy, contacts));
    }

    /** The stored contacts with these numbers, by number. */
    public Map<Long, ContactRow> rows(Collection<Long> ids) {
        List<ContactRow> rows = db.createNativeQuery(
                        "select c.* from unnest(:ids) as w(id) join contact c on c.id = w.id", ContactRow.class)
                .setParameter("ids", ids.toArray(Long[]::new))
                .getResultList();
        return rows.stream().collect(Collectors.toMap(ContactRow::number, row -> row));
    }

    @Transactional(readOnly = true)
    public Optional<LoggedContact> find(long id) {
        return Optional.ofNullable(db.find(ContactRow.class, id)).map(ContactRow::logged);
    }

    /** The contacts with these numbers, by number. */
    @Transactional(readOnly = true)
    public Map<Long, LoggedContact> find(Collection<Long> ids) {
        return rows(ids).values().stream().map(ContactRow::logged).collect(Collectors.toMap(LoggedContact::id, c -> c));
    }

    public long size() {
        return size.contacts();
    }

    /** Lines of the log for these numbers, in the log's order. */
    @Transactional(readOnly = true)
    public List<LogLine> lines(Collection<Long> ids) {
        return lines(ids, List.of());
    }

    /** @param columns ADIF names of fields to give besides the usual ones */
    @Transactional(readOnly = true)
    public List<LogLine> lines(Collection<Long> ids, Collection<String> columns) {
        List<ContactRow> rows = new ArrayList<>(rows(ids).values());
        rows.sort(Comparator.comparing((ContactRow row) -> row.startedAt)
                .thenComparing(ContactRow::number)
                .reversed());
        return withSeals(rows, columns);
    }

    /**
     * One page of the log, the newest first.
     *
     * @param callStart only calls that start so; null for all
     * @param below the place in the log's order to go on from; null for the top
     */
    @Transactional(readOnly = true)
    public List<LogLine> page(@Nullable String callStart, @Nullable LogCursor below, int size) {
        TypedQuery<ContactRow> query = select(callStart, below, "desc", ContactRow.class);
        return withSeals(query.setMaxResults(size).getResultList(), List.of());
    }

    @Transactional(readOnly = true)
    Optional<ContactRow> row(long id) {
        return Optional.ofNullable(db.find(ContactRow.class, id));
    }

    private <T> TypedQuery<T> select(
            @Nullable String callStart, @Nullable LogCursor below, String direction, Class<T> kind) {
        List<String> where = new ArrayList<>();
        if (callStart != null) {
            where.add("callSign like :call");
        }
        if (below != null) {
            where.add("startedAt <= :start and (startedAt < :start or id < :id)");
        }
        String jpql = "from ContactRow"
                + (where.isEmpty() ? "" : " where " + String.join(" and ", where))
                + " order by startedAt " + direction + ", id " + direction;
        TypedQuery<T> query = db.createQuery(jpql, kind);
        if (callStart != null) {
            query.setParameter("call", callStart.strip().toUpperCase(Locale.ROOT) + "%");
        }
        if (below != null) {
            query.setParameter("start", below.start()).setParameter("id", below.id());
        }
        return query;
    }

    private List<LogLine> withSeals(List<ContactRow> rows, Collection<String> columns) {
        Map<Long, List<Seal>> byContact =
                seals.of(rows.stream().map(row -> row.id).toList());
        return rows.stream()
                .map(row -> LogLine.of(row, byContact.getOrDefault(row.id, List.of()), columns, entities))
                .toList();
    }
}
