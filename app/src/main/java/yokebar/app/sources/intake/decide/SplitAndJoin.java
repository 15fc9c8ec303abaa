package yokebar.app.sources.intake.decide;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.ChangeUndone;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.journal.IntakeJournal;
import yokebar.app.sources.intake.journal.JournalEntry;
import yokebar.app.sources.intake.journal.RecordSources;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Merge;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.Rebuild;

/**
 * The operator's word on which records are one contact. It is kept: records that arrive again go where the operator put them.
 * Both can be taken back like any other change.
 */
@Service
public class SplitAndJoin {
    private final EntityManager db;
    private final ContactLog log;
    private final LogChanges changes;
    private final IntakeJournal journal;
    private final RecordSources sources;

    SplitAndJoin(EntityManager db, ContactLog log, LogChanges changes, IntakeJournal journal, RecordSources sources) {
        this.db = db;
        this.log = log;
        this.changes = changes;
        this.journal = journal;
        this.sources = sources;
    }

    /**
     * Which contacts there are now.
     *
     * @param other the new contact of a split; of a join null
     */
    public record Parts(long contactId, @Nullable Long other, long changeId, String sentence) {}

    /** Makes a contact of its own out of some of the records that were merged into one. */
    @Transactional
    public Parts split(long contactId, Set<Long> journalIds) {
        LoggedContact whole = contact(contactId);
        List<JournalEntry> all = journal.of(contactId);
        List<JournalEntry> apart =
                all.stream().filter(entry -> journalIds.contains(entry.id)).toList();
        List<JournalEntry> rest =
                all.stream().filter(entry -> !journalIds.contains(entry.id)).toList();
        if (apart.isEmpty() || rest.isEmpty()) {
            throw new Rejection(
                    "journalIds", "Choose some of the records this contact was made of, but not all of them.");
        }
        LoggedContact fresh = merged(apart, whole.contact());
        if (fresh == null) {
            throw new Rejection("journalIds", "None of the chosen records can be read as a contact by itself.");
        }
        LoggedContact left = Rebuild.without(whole, merged(rest, whole.contact()), fresh);
        long change = changes.make(ChangeKind.SPLIT, named(whole.contact()) + " was split into two contacts.", 2);
        log.replace(List.of(left), change);
        long freshId = log.add(
                        List.of(new ContactLog.NewContact(fresh.contact(), fresh.provenance(), null, false, Map.of())))
                .get(0)
                .id();
        changes.brought(change, List.of(freshId));
        move(change, apart, freshId);
        return new Parts(
                contactId,
                freshId,
                change,
                named(whole.contact()) + " is two contacts now, of " + counted(rest.size()) + " and of "
                        + counted(apart.size()) + ".");
    }

    /** Makes one contact of two; the first keeps its call, band, mode and start. */
    @Transactional
    public Parts join(long contactId, long otherId) {
        if (contactId == otherId) {
            throw new Rejection("with", "A contact cannot be joined with itself.");
        }
        LoggedContact stays = contact(contactId);
        LoggedContact goes = contact(otherId);
        if (!stays.contact().ownCall().equals(goes.contact().ownCall())) {
            throw new Rejection("with", "They were made with different calls of yours.");
        }
        Merge.Result merged = Merge.merge(stays, Rebuild.at(stays.contact(), goes.contact()), goes.provenance());
        long change = changes.make(
                ChangeKind.JOINED, named(goes.contact()) + " was joined with " + named(stays.contact()) + ".", 2);
        log.replace(List.of(new LoggedContact(contactId, merged.contact(), merged.provenance())), change);
        List<JournalEntry> entries = journal.of(otherId);
        log.remove(List.of(otherId), change);
        move(change, entries, contactId);
        db.persist(AlsoKnown.of(contactId, change, goes.contact()));
        return new Parts(contactId, null, change, named(goes.contact()) + " is part of this contact now.");
    }

    /** Records go back to the contacts they came from. */
    @EventListener
    void undone(ChangeUndone event) {
        // What came for the contact of a split since then.
        db.createNativeQuery("update intake_journal set contact_id = (select min(from_contact) from journal_moved"
                        + " where change_id = :change) where contact_id = any(:brought)"
                        + " and exists (select 1 from journal_moved where change_id = :change)")
                .setParameter("change", event.changeId())
                .setParameter("brought", event.brought().toArray(Long[]::new))
                .executeUpdate();
        db.createNativeQuery("update intake_journal j set contact_id = (select m.from_contact from journal_moved m"
                        + " where m.change_id = :change and m.journal_id = j.id) where j.id in"
                        + " (select journal_id from journal_moved where change_id = :change)")
                .setParameter("change", event.changeId())
                .executeUpdate();
        db.createNativeQuery("delete from journal_moved where change_id = :change")
                .setParameter("change", event.changeId())
                .executeUpdate();
        db.createNativeQuery("delete from also_known where change_id = :change")
                .setParameter("change", event.changeId())
                .executeUpdate();
    }

    private void move(long change, Collection<JournalEntry> entries, long contactId) {
        Long[] ids = entries.stream().map(entry -> entry.id).toArray(Long[]::new);
        db.flush();
        db.createNativeQuery(
                        "insert into journal_moved (change_id, journal_id, from_contact)"
                                + " select :change, j.id, j.contact_id from unnest(:ids) as w(id) join intake_journal j on j.id = w.id")
                .setParameter("change", change)
                .setParameter("ids", ids)
                .executeUpdate();
        db.createNativeQuery("update intake_journal set contact_id = :contact where id = any(:ids)")
                .setParameter("contact", contactId)
                .setParameter("ids", ids)
                .executeUpdate();
    }

    /** The contact that these records make, in the order they came; null when none can be read by itself. */
    private @Nullable LoggedContact merged(List<JournalEntry> entries, Contact likeness) {
        LoggedContact merged = null;
        for (JournalEntry entry : entries) {
            Reading reading = ContactAdif.read(
                    Rebuild.completed(ContactAdif.write(likeness), sources.record(entry)), likeness.ownCall());
            if (reading instanceof Reading.Readable readable) {
                Provenance provenance = Provenance.of(sources.path(entry.source).source());
                if (merged == null) {
                    merged = new LoggedContact(0, readable.contact(), provenance);
                } else {
                    Merge.Result next =
                            Merge.merge(merged, Rebuild.at(merged.contact(), readable.contact()), provenance);
                    merged = new LoggedContact(0, next.contact(), next.provenance());
                }
            }
        }
        return merged;
    }

    private LoggedContact contact(long id) {
        return log.find(id).orElseThrow(() -> Rejection.notThere("There is no contact " + id + " in the log."));
    }

    private static String named(Contact contact) {
        return contact.call() + " on " + contact.band().adifName() + " in "
                + contact.mode().label();
    }

    private static String counted(int records) {
        return records == 1 ? "one record" : records + " records";
    }
}
