package yokebar.app.sources.intake.journal;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.store.ContactIds;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.Decision;
import yokebar.app.sources.intake.decide.IntakeBatch;

/** Reads the journal. */
@Service
public class IntakeJournal implements IntakeBatch.KnownRecords, JourneySource {
    private static final Map<Decision, JourneyStep.Kind> KINDS = Map.of(
            Decision.ADDED, JourneyStep.Kind.ARRIVED,
            Decision.MERGED, JourneyStep.Kind.MERGED,
            Decision.DUPLICATE, JourneyStep.Kind.DUPLICATE);

    /** By the beginning of the source's name. */
    private static final Map<String, String> PATHS = Map.of(
            "adif-datagrams", "as a datagram",
            "datagrams-", "as a datagram",
            "adif-stream", "over a stream",
            "stream-", "over a stream",
            "file-", "in a followed file",
            "link-", "over the digital link",
            "typed", "by hand",
            "import", "by import");

    private static final int MAX_DAYS = 36_500;

    private final EntityManager db;
    private final ContactIds contactIds;

    IntakeJournal(EntityManager db, ContactIds contactIds) {
        this.db = db;
        this.contactIds = contactIds;
    }

    /** A line of the journal. */
    record JournalLine(
            long id,
            Instant arrivedAt,
            String source,
            String sender,
            Decision decision,
            String sentence,
            @Nullable Long contactId,
            String raw) {

        static JournalLine of(JournalEntry entry) {
            return new JournalLine(
                    entry.id == null ? 0 : entry.id,
                    entry.arrivedAt,
                    entry.source,
                    entry.sender,
                    entry.decision,
                    entry.sentence,
                    entry.contactId,
                    entry.rawText());
        }
    }

    /**
     * Which entries are asked for; null for all.
     *
     * @param below only entries before this one
     * @param call only records that name it, or belong to a contact with it
     */
    record Wanted(@Nullable Long below, @Nullable Decision decision, @Nullable String source, @Nullable String call) {}

    /** The newest lines first. */
    @Transactional(readOnly = true)
    public List<JournalLine> page(Wanted wanted, int size) {
        StringBuilder sql = new StringBuilder("select j.* from ");
        sql.append(
                wanted.call() == null
                        ? "intake_journal j"
                        : "(select i.id from unnest(:contacts) as c(id) join intake_journal i on i.contact_id = c.id"
                                + " union select journal_id from set_aside where call_sign = :call) as w(id)"
                                + " join intake_journal j on j.id = w.id");
        sql.append(" where 1 = 1");
        Map<String, Object> values = new HashMap<>();
        put(values, sql, "below", wanted.below(), " and j.id < :below");
        put(values, sql, "call", wanted.call(), "");
        if (wanted.call() != null) {
            values.put("contacts", contactIds.ofCall(wanted.call()).toArray(Long[]::new));
        }
        put(values, sql, "source", wanted.source(), " and j.source = :source");
        put(
                values,
                sql,
                "decision",
                wanted.decision() == null ? null : wanted.decision().name(),
                " and j.decision = :decision");
        Query query = db.createNativeQuery(sql + " order by j.id desc", JournalEntry.class);
        values.forEach(query::setParameter);
        List<?> entries = query.setMaxResults(size).getResultList();
        return entries.stream()
                .map(entry -> JournalLine.of((JournalEntry) entry))
                .toList();
    }

    private static void put(
            Map<String, Object> values, StringBuilder sql, String name, @Nullable Object value, String condition) {
        if (value != null) {
            values.put(name, value);
            sql.append(condition);
        }
    }

    /** Records that name a call and are not in the log, the newest first. */
    @Transactional(readOnly = true)
    public List<JournalLine> asideOf(String call, int max) {
        return db.createQuery(
                        "select e from JournalEntry e, SetAside a where a.journalId = e.id and a.callSign = :call"
                                + " order by e.id desc",
                        JournalEntry.class)
                .setParameter("call", call)
                .setMaxResults(max)
                .getResultStream()
                .map(JournalLine::of)
                .toList();
    }

    /** The records that went into a contact, in the order they came. */
    @Transactional(readOnly = true)
    public List<JournalEntry> of(long contactId) {
        return db.createQuery("from JournalEntry where contactId = :id order by id", JournalEntry.class)
                .setParameter("id", contactId)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public JournalEntry find(long id) {
        JournalEntry entry = db.find(JournalEntry.class, id);
        if (entry == null) {
            throw new Rejection("id", "There is no record " + id + " in the journal.");
        }
        return entry;
    }

    /** A record that was set aside got into the log after all. */
    @Transactional
    public void settled(long id) {
        db.createQuery("delete from SetAside where journalId = :id")
                .setParameter("id", id)
                .executeUpdate();
    }

    @Transactional(readOnly = true)
    public @Nullable Integer keepRepeatsDays() {
        return db.find(IntakeSetting.class, IntakeSetting.ONLY).keepRepeatsDays;
    }

    /** @param days null for ever */
    @Transactional
    public void keepRepeats(@Nullable Integer days) {
        if (days != null && (days < 1 || days > MAX_DAYS)) {
            throw new Rejection("repeatsDays", "Say for how many days, from 1 to " + MAX_DAYS + "; empty for ever.");
        }
        db.find(IntakeSetting.class, IntakeSetting.ONLY).keepRepeatsDays = days;
    }

    /** Lets go of old repeats; what a contact was made of, and what was not taken, stays. */
    @Transactional
    public int forgetRepeats(Instant now) {
        Integer days = keepRepeatsDays();
        return days == null
                ? 0
                : db.createNativeQuery(
                                "delete from intake_journal where decision = 'DUPLICATE' and arrived_at < :before")
                        .setParameter("before", now.minus(Duration.ofDays(days)))
                        .executeUpdate();
    }

    /** How a record came, in words. */
    static String by(String source) {
        return PATHS.entrySet().stream()
                .filter(path -> source.startsWith(path.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse("by " + source);
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean gave(long contactId, String raw) {
        return !db.createQuery("select 1 from JournalEntry where contactId = :id and raw = :raw", Integer.class)
                .setParameter("id", contactId)
                .setParameter("raw", JournalEntry.bytes(raw))
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean came(long contactId, String sourceId, String sender) {
        return !db.createQuery(
                        "select 1 from JournalEntry where contactId = :id and source = :source and sender = :sender",
                        Integer.class)
                .setParameter("id", contactId)
                .setParameter("source", sourceId)
                .setParameter("sender", JournalEntry.shortened(sender, JournalEntry.MAX_SENDER_CHARACTERS))
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        return db.createQuery("from JournalEntry where contactId = :id order by id", JournalEntry.class)
                .setParameter("id", contactId)
                .getResultStream()
                .map(entry -> JourneyStep.of(
                        entry.arrivedAt,
                        KINDS.getOrDefault(entry.decision, JourneyStep.Kind.ARRIVED),
                        "Arrived " + by(entry.source) + " from " + entry.sender + ". " + entry.sentence,
                        entry.rawText()))
                .toList();
    }
}
