package yokebar.app.log.store;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.app.platform.storage.BulkInsert;

/** What happened to a contact, from every feature that knows a part of it. */
@Service
public class Journey {
    private static final int LONGEST_SENTENCE = 2000;

    private final EntityManager db;
    private final BulkInsert bulk;
    private final Clock clock;
    private final ObjectProvider<JourneySource> sources;

    Journey(EntityManager db, BulkInsert bulk, Clock clock, ObjectProvider<JourneySource> sources) {
        this.db = db;
        this.bulk = bulk;
        this.clock = clock;
        this.sources = sources;
    }

    /**
     * Adds a step, in the transaction of what happened.
     *
     * @param madeBy who did it, in words; null for the station itself
     */
    @Transactional
    public void note(long contactId, JourneyStep.Kind kind, String sentence, @Nullable String madeBy) {
        db.persist(noted(contactId, kind, sentence, madeBy));
    }

    /** The same for each of many contacts. */
    @Transactional
    public void note(JourneyStep.Kind kind, Map<Long, String> sentences, @Nullable String madeBy) {
        List<JourneyNote> notes = new ArrayList<>(sentences.size());
        sentences.forEach((contactId, sentence) -> notes.add(noted(contactId, kind, sentence, madeBy)));
        bulk.insert(notes);
    }

    private JourneyNote noted(long contactId, JourneyStep.Kind kind, String sentence, @Nullable String madeBy) {
        JourneyNote note = new JourneyNote();
        note.contactId = contactId;
        note.notedAt = clock.instant();
        note.kind = kind;
        note.madeBy = madeBy;
        note.sentence =
                sentence.length() <= LONGEST_SENTENCE ? sentence : sentence.substring(0, LONGEST_SENTENCE - 1) + "…";
        return note;
    }

    /** All steps, the earliest first. */
    @Transactional(readOnly = true)
    public List<JourneyStep> of(long contactId) {
        List<JourneyStep> steps =
                new ArrayList<>(db.createQuery("from JourneyNote where contactId = :id order by id", JourneyNote.class)
                        .setParameter("id", contactId)
                        .getResultStream()
                        .map(note -> new JourneyStep(note.notedAt, note.kind, note.sentence, null, note.madeBy))
                        .toList());
        sources.forEach(source -> steps.addAll(source.journey(contactId)));
        steps.sort(Comparator.comparing(JourneyStep::at));
        return steps;
    }
}
