package yokebar.app.log.change;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.store.ContactEditing;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.ContactRow;
import yokebar.app.log.store.Journey;
import yokebar.app.log.store.PastContact;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.log.contact.CallCorrection;
import yokebar.core.log.contact.ContactEdit;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.Source;
import yokebar.core.log.contact.Undo;

/** Changes of many contacts at once: edit, delete, undo. */
@Service
class BulkChanges implements ChangeJobs.Steps {
    /** More are not looked at before, or the look would take as long as the change. */
    private static final int MAX_LOOKED_AT = 20_000;

    private static final TypeReference<Map<String, @Nullable String>> FIELDS = new TypeReference<>() {};
    private static final int SAMPLES = 5;
    private static final int LOOK_AT_ONCE = 1000;
    private static final int MAX_CHANGES_NAMED = 300;

    private final ContactLog log;
    private final LogChanges changes;
    private final ChangeJobs jobs;
    private final Journey journey;
    private final ReferenceData reference;
    private final EntityManager db;
    private final JsonMapper json;

    BulkChanges(
            ContactLog log,
            LogChanges changes,
            ChangeJobs jobs,
            Journey journey,
            ReferenceData reference,
            EntityManager db,
            JsonMapper json) {
        this.json = json;
        this.reference = reference;
        this.log = log;
        this.changes = changes;
        this.jobs = jobs;
        this.journey = journey;
        this.db = db;
    }

    /** What an edit would do to one contact. */
    record Sample(long id, String call, String what) {}

    /**
     * What an edit would do.
     *
     * @param chosen contacts it is meant for
     * @param lookedAt how many of them were looked at
     * @param different of those, how many it would change
     * @param impossible of those, how many cannot take it; they would stay as they are
     */
    record Preview(
            int chosen, int lookedAt, int different, int impossible, List<Sample> samples, List<Sample> problems) {}

    @Transactional(readOnly = true)
    public Preview preview(long[] ids, Map<String, @Nullable String> edit) {
        Map<String, @Nullable String> tidy = tidy(edit);
        int lookedAt = Math.min(ids.length, MAX_LOOKED_AT);
        int different = 0;
        int impossible = 0;
        List<Sample> samples = new ArrayList<>();
        List<Sample> problems = new ArrayList<>();
        for (int from = 0; from < lookedAt; from += LOOK_AT_ONCE) {
            for (LoggedContact contact : some(ids, from, lookedAt)) {
                Reading reading = ContactEdit.apply(contact.contact(), withCall(contact, tidy));
                if (reading instanceof Reading.Unreadable unreadable) {
                    impossible++;
                    sample(problems, contact, unreadable.sentence());
                } else if (reading instanceof Reading.Readable readable) {
                    Collection<String> what = ContactEditing.differences(contact.contact(), readable.contact())
                            .values();
                    if (!what.isEmpty()) {
                        different++;
                        sample(samples, contact, String.join("; ", what));
                    }
                }
            }
            db.clear();
        }
        return new Preview(ids.length, lookedAt, different, impossible, samples, problems);
    }

    /** @throws Rejection when none of the contacts can take it */
    ChangeView edit(long[] ids, Map<String, @Nullable String> edit) {
        Map<String, @Nullable String> tidy = tidy(edit);
        refuseWhatNoneCanTake(ids, tidy);
        List<String> words = new ArrayList<>();
        tidy.forEach((name, value) ->
                words.add(value == null || value.isEmpty() ? name + " removed" : name + " set to " + value));
        String what = String.join("; ", words);
        return ChangeView.of(jobs.start(
                ChangeKind.EDITED,
                counted(ids.length) + ": "
                        + (what.length() > MAX_CHANGES_NAMED ? what.substring(0, MAX_CHANGES_NAMED) + "…" : what)
                        + ".",
                null,
                ids,
                json.writeValueAsString(tidy)));
    }

    /** What the first of them cannot take is most likely a slip; the others need not be looked at. */
    private void refuseWhatNoneCanTake(long[] ids, Map<String, @Nullable String> edit) {
        List<Long> first = Arrays.stream(ids).limit(LOOK_AT_ONCE).boxed().toList();
        String why = null;
        for (LoggedContact contact : log.find(first).values()) {
            if (!(ContactEdit.apply(contact.contact(), withCall(contact, edit))
                    instanceof Reading.Unreadable unreadable)) {
                return;
            }
            why = unreadable.sentence();
        }
        if (why != null) {
            throw new Rejection(String.join(", ", edit.keySet()), why);
        }
    }

    ChangeView delete(long[] ids) {
        return ChangeView.of(jobs.start(ChangeKind.DELETED, counted(ids.length) + " deleted.", null, ids, null));
    }

    /** Takes a change back. */
    ChangeView undo(long changeId) {
        ChangeView change =
                changes.find(changeId).orElseThrow(() -> Rejection.notThere("There is no change " + changeId + "."));
        if (change.state().equals(LogChange.State.RUNNING.name())) {
            throw new Rejection("change", "It is still under way; cancel it first.");
        }
        long[] ids = touched(changeId);
        return ChangeView.of(jobs.start(ChangeKind.UNDONE, "Undone: " + change.sentence(), changeId, ids, null));
    }

    @Override
    public ChangeJobs.Step of(long changeId) {
        LogChange change = changes.present(changeId);
        return switch (change.kind) {
            case EDITED -> {
                Map<String, @Nullable String> edit = json.readValue(String.valueOf(change.edit), FIELDS);
                yield (id, some) -> editSome(id, some, edit);
            }
            case DELETED -> this::deleteSome;
            case UNDONE -> {
                long undone = Objects.requireNonNull(change.undoes);
                yield (undo, some) -> undoSome(undone, undo, some);
            }
            default -> throw new IllegalStateException(change.kind + " is not a bulk change");
        };
    }

    private int deleteSome(long changeId, List<Long> ids) {
        List<Long> present = List.copyOf(log.rows(ids).keySet());
        db.clear();
        log.delete(present, changeId);
        return present.size();
    }

    private int editSome(long changeId, List<Long> ids, Map<String, @Nullable String> edit) {
        List<LoggedContact> after = new ArrayList<>();
        Map<Long, String> notes = new TreeMap<>();
        Map<Long, ContactRow> rows = log.rows(ids);
        for (ContactRow row : rows.values()) {
            LoggedContact contact = row.logged();
            if (ContactEdit.apply(contact.contact(), withCall(contact, edit)) instanceof Reading.Readable readable) {
                Map<String, String> differences = ContactEditing.differences(contact.contact(), readable.contact());
                if (!differences.isEmpty()) {
                    after.add(new LoggedContact(
                            contact.id(),
                            readable.contact(),
                            contact.provenance().with(differences.keySet(), Source.OPERATOR)));
                    notes.put(contact.id(), "Edited: " + String.join("; ", differences.values()) + ".");
                }
            }
        }
        replace(after, rows, changeId, notes);
        return after.size();
    }

    private int undoSome(long changeId, long undoId, List<Long> ids) {
        Map<Long, ContactRow> now = log.rows(ids);
        Map<Long, Past> past = past(changeId, ids, now);
        Map<Long, List<Undo.Undone>> undoneBefore = undoneBefore(changeId, ids);
        List<Long> restored = new ArrayList<>();
        List<Long> deleted = new ArrayList<>();
        List<LoggedContact> after = new ArrayList<>();
        Map<Long, String> notes = new TreeMap<>();
        for (Long id : ids) {
            Past was = past.get(id);
            ContactRow is = now.get(id);
            if (was == null && is != null) {
                deleted.add(id);
            } else if (was != null && is == null && was.fate() == PastContact.Fate.DELETED) {
                restored.add(id);
                notes.put(id, "Restored to the log.");
            } else if (was != null && is != null && was.fate() == PastContact.Fate.EDITED) {
                Undo.Result undone =
                        Undo.restore(was.before(), was.after(), is.logged(), undoneBefore.getOrDefault(id, List.of()));
                if (!undone.restored().isEmpty()) {
                    after.add(undone.contact());
                    notes.put(
                            id,
                            "Undone: " + String.join(", ", undone.restored()) + " as before."
                                    + (undone.kept().isEmpty()
                                            ? ""
                                            : " Kept, because changed again since: " + String.join(", ", undone.kept())
                                                    + "."));
                }
            }
        }
        replace(after, now, undoId, notes);
        db.flush();
        db.clear();
        if (!deleted.isEmpty()) {
            log.delete(deleted, undoId);
        }
        if (!restored.isEmpty()) {
            log.restore(restored, changeId);
            changes.brought(undoId, restored);
        }
        return after.size() + deleted.size() + restored.size();
    }

    private void replace(
            List<LoggedContact> after, Map<Long, ContactRow> rows, long changeId, Map<Long, String> notes) {
        if (!after.isEmpty()) {
            log.replace(after, rows, changeId);
        }
        journey.note(
                JourneyStep.Kind.EDITED,
                notes,
                changes.find(changeId).map(ChangeView::madeBy).orElse(null));
    }

    /** @param after the contact as the change left it, which is as the next change found it */
    private record Past(PastContact.Fate fate, LoggedContact before, LoggedContact after) {}

    private Map<Long, Past> past(long changeId, List<Long> ids, Map<Long, ContactRow> now) {
        Map<Long, PastContact> next = new HashMap<>();
        for (PastContact after : images(
                "select n.* from unnest(:ids) as w(id) join contact_past p on p.change_id = :change and p.id = w.id"
                        + " join contact_past n on n.id = p.id and n.version = p.version + 1",
                changeId,
                ids)) {
            next.put(after.id, after);
        }
        Map<Long, Past> past = new HashMap<>();
        for (PastContact before : images(
                "select p.* from unnest(:ids) as w(id) join contact_past p on p.change_id = :change and p.id = w.id",
                changeId,
                ids)) {
            PastContact later = next.get(before.id);
            ContactRow is = now.get(before.id);
            LoggedContact after = later != null ? later.logged() : is != null ? is.logged() : before.logged();
            past.put(before.id, new Past(before.fate, before.logged(), after));
        }
        return past;
    }

    /** Earlier changes of the contacts that were taken back already, the newest first. */
    private Map<Long, List<Undo.Undone>> undoneBefore(long changeId, List<Long> ids) {
        String earlier = " from unnest(:ids) as w(id) join contact_past p on p.id = w.id and p.change_id < :change"
                + " join log_change c on c.id = p.change_id and c.undone_by <> :change and c.undoes is null";
        Map<Long, List<Undo.Undone>> undone = new HashMap<>();
        List<PastContact> befores = images("select p.*" + earlier + " order by p.id, p.version desc", changeId, ids);
        if (befores.isEmpty()) {
            return undone;
        }
        Map<String, PastContact> afters = new HashMap<>();
        for (PastContact after : images(
                "select n.*" + earlier + " join contact_past n on n.id = p.id and n.version = p.version + 1",
                changeId,
                ids)) {
            afters.put(after.id + " " + after.version, after);
        }
        for (PastContact before : befores) {
            PastContact after = afters.get(before.id + " " + (before.version + 1));
            if (after != null) {
                undone.computeIfAbsent(before.id, id -> new ArrayList<>())
                        .add(new Undo.Undone(before.logged(), after.logged()));
            }
        }
        return undone;
    }

    private List<PastContact> images(String sql, long changeId, List<Long> ids) {
        return db.createNativeQuery(sql, PastContact.class)
                .setParameter("ids", ids.toArray(Long[]::new))
                .setParameter("change", changeId)
                .getResultList();
    }

    private long[] touched(long changeId) {
        List<?> ids = db.createNativeQuery(
                        "select id from contact_past where change_id = :change"
                                + " union select contact_id from contact_added where change_id = :change order by 1",
                        Long.class)
                .setParameter("change", changeId)
                .getResultList();
        return ids.stream().mapToLong(id -> (Long) id).toArray();
    }

    private List<LoggedContact> some(long[] ids, int from, int until) {
        List<Long> some = new ArrayList<>();
        for (int i = from; i < Math.min(from + LOOK_AT_ONCE, until); i++) {
            some.add(ids[i]);
        }
        Map<Long, LoggedContact> found = log.find(some);
        return some.stream().filter(found::containsKey).map(found::get).toList();
    }

    private static void sample(List<Sample> samples, LoggedContact contact, String what) {
        if (samples.size() < SAMPLES) {
            samples.add(new Sample(contact.id(), contact.contact().call().text(), what));
        }
    }

    private Map<String, @Nullable String> withCall(LoggedContact contact, Map<String, @Nullable String> edit) {
        return CallCorrection.complete(contact, edit, reference.entities());
    }

    private static Map<String, @Nullable String> tidy(Map<String, @Nullable String> edit) {
        if (edit.isEmpty()) {
            throw new Rejection("changes", "Say which field to change.");
        }
        Map<String, @Nullable String> tidy = new TreeMap<>();
        edit.forEach((name, value) -> {
            if (!name.matches("[A-Za-z][A-Za-z0-9_]{0,39}")) {
                throw new Rejection("changes", "\"" + name + "\" is not a field name.");
            }
            tidy.put(name.toUpperCase(Locale.ROOT), value == null ? null : value.strip());
        });
        return tidy;
    }

    private static String counted(int contacts) {
        return contacts == 1 ? "1 contact" : contacts + " contacts";
    }
}
