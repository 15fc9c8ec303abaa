package yokebar.app.log;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.BulkInsert;
import yokebar.core.contact.Contact;
import yokebar.core.contact.LoggedContact;
import yokebar.core.contact.Provenance;

/** The stored contacts. Whoever changes them does so here, inside a transaction, and the others hear of it in the same one. */
@Service
public class ContactLog {
    private final EntityManager db;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Seals seals;
    private final BulkInsert bulk;

    ContactLog(EntityManager db, BulkInsert bulk, ApplicationEventPublisher events, Clock clock, Seals seals) {
        this.db = db;
        this.events = events;
        this.clock = clock;
        this.seals = seals;
        this.bulk = bulk;
    }

    /** A contact about to be logged. */
    public record NewContact(Contact contact, Provenance provenance, @Nullable Long placeId) {}

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
        return rows.stream().map(ContactColumns::logged).toList();
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
            logged.add(new LoggedContact(idOf(rows.get(i)), entry.contact(), entry.provenance()));
        }
        if (!logged.isEmpty()) {
            events.publishEvent(new ContactsLogged(List.copyOf(logged)));
        }
        return logged;
    }

    /** Replaces a stored contact by its merged or edited form. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void replace(LoggedContact after) {
        ContactRow row = present(after.id());
        Contact before = ContactColumns.contact(row);
        ContactColumns.fill(row, after.contact(), after.provenance());
        events.publishEvent(new ContactChanged(before, after));
    }

    @Transactional(readOnly = true)
    public Optional<LoggedContact> find(long id) {
        return Optional.ofNullable(db.find(ContactRow.class, id)).map(ContactColumns::logged);
    }

    /** The contacts with these numbers, by number. */
    @Transactional(readOnly = true)
    public Map<Long, LoggedContact> find(Collection<Long> ids) {
        if (ids.isEmpty()) {
            return Map.of();
        }
        return db.createQuery("from ContactRow where id in :ids", ContactRow.class)
                .setParameter("ids", ids)
                .getResultStream()
                .map(ContactColumns::logged)
                .collect(Collectors.toMap(LoggedContact::id, c -> c));
    }

    @Transactional(readOnly = true)
    public long size() {
        return db.createQuery("select count(*) from ContactRow", Long.class).getSingleResult();
    }

    /** Lines of the log for these numbers, in the log's order. */
    @Transactional(readOnly = true)
    public List<LogLine> lines(Collection<Long> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        return withSeals(
                db.createQuery("from ContactRow where id in :ids order by startedAt desc, id desc", ContactRow.class)
                        .setParameter("ids", ids)
                        .getResultList());
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
        return withSeals(query.setMaxResults(size).getResultList());
    }

    /** Gives every contact of the log or of a search to the receiver, the oldest first, without holding them all. */
    @Transactional(readOnly = true)
    public void forEach(@Nullable String callStart, Consumer<Contact> receiver) {
        try (Stream<ContactRow> rows =
                select(callStart, null, "asc", ContactRow.class).getResultStream()) {
            rows.forEach(row -> {
                receiver.accept(ContactColumns.contact(row));
                db.detach(row);
            });
        }
    }

    @Transactional(readOnly = true)
    Optional<ContactRow> row(long id) {
        return Optional.ofNullable(db.find(ContactRow.class, id));
    }

    private static long idOf(ContactRow row) {
        if (row.id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return row.id;
    }

    private ContactRow present(long id) {
        ContactRow row = db.find(ContactRow.class, id);
        if (row == null) {
            throw new IllegalStateException("contact " + id + " is not in the log");
        }
        return row;
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

    private List<LogLine> withSeals(List<ContactRow> rows) {
        Map<Long, List<Seal>> byContact =
                seals.of(rows.stream().map(row -> row.id).toList());
        return rows.stream()
                .map(row -> LogLine.of(row, byContact.getOrDefault(row.id, List.of())))
                .toList();
    }
}
