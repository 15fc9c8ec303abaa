package yokebar.app.intake;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;

/** Reads the journal. */
@Service
class IntakeJournal implements JourneySource {
    private static final Map<Decision, JourneyStep.Kind> KINDS = Map.of(
            Decision.ADDED, JourneyStep.Kind.ARRIVED,
            Decision.MERGED, JourneyStep.Kind.MERGED,
            Decision.DUPLICATE, JourneyStep.Kind.DUPLICATE);

    private static final Map<String, String> PATHS = Map.of(DatagramIntake.ID, "as a datagram", "import", "by import");

    private final EntityManager db;

    IntakeJournal(EntityManager db) {
        this.db = db;
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

    /** The newest lines first. */
    @Transactional(readOnly = true)
    public List<JournalLine> page(@Nullable Long below, @Nullable Decision decision, int size) {
        String where =
                (below == null ? "" : " and id < :below") + (decision == null ? "" : " and decision = :decision");
        TypedQuery<JournalEntry> query =
                db.createQuery("from JournalEntry where 1 = 1" + where + " order by id desc", JournalEntry.class);
        if (below != null) {
            query.setParameter("below", below);
        }
        if (decision != null) {
            query.setParameter("decision", decision);
        }
        return query.setMaxResults(size).getResultStream().map(JournalLine::of).toList();
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        return db.createQuery("from JournalEntry where contactId = :id order by id", JournalEntry.class)
                .setParameter("id", contactId)
                .getResultStream()
                .map(entry -> new JourneyStep(
                        entry.arrivedAt,
                        KINDS.getOrDefault(entry.decision, JourneyStep.Kind.ARRIVED),
                        "Arrived " + PATHS.getOrDefault(entry.source, "by " + entry.source) + " from " + entry.sender
                                + ". " + entry.sentence,
                        entry.rawText()))
                .toList();
    }
}
