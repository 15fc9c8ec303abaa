package yokebar.app.intake;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.ContactLog;
import yokebar.app.log.LogChanges;
import yokebar.core.contact.Contact;
import yokebar.core.contact.LoggedContact;
import yokebar.core.contact.Merge;
import yokebar.core.contact.Problem;
import yokebar.core.contact.Provenance;
import yokebar.core.contact.Reading;
import yokebar.core.contact.SameContact;
import yokebar.core.contact.Source;
import yokebar.core.radio.RadioCompletion;

/**
 * Decides on the records of one transaction, each in the light of the log and of those before it. New contacts have
 * provisional negative numbers until they are stored.
 */
final class IntakeBatch {

    private record Verdict(Decision decision, String sentence, long contactNumber) {}

    private final Map<String, List<LoggedContact>> known = new HashMap<>();
    private final Map<Long, LoggedContact> added = new LinkedHashMap<>();
    private final Map<Long, LoggedContact> replaced = new LinkedHashMap<>();
    /** Where the new contacts were made. */
    private final Map<Long, @Nullable Long> places = new HashMap<>();

    /** Whether somebody typed the record, who may want to take it back. */
    private boolean typed;

    private @Nullable Long changeId;
    private final List<Verdict> verdicts = new ArrayList<>();

    IntakeBatch(Collection<LoggedContact> candidates) {
        candidates.forEach(this::remember);
    }

    /**
     * @param reading null when the arrival is no whole record
     * @param completed what it was completed with
     */
    void decide(Arrival arrival, @Nullable Reading reading, Completion.Completed completed) {
        typed |= arrival.source() == Source.OPERATOR;
        if (reading == null) {
            verdicts.add(new Verdict(Decision.REFUSED, String.valueOf(arrival.fault()), 0));
        } else if (reading instanceof Reading.Unreadable unreadable) {
            verdicts.add(new Verdict(Decision.REFUSED, unreadable.sentence(), 0));
        } else if (reading instanceof Reading.Readable readable) {
            verdicts.add(place(arrival, readable, completed));
        }
    }

    /** Stores what was decided; the outcomes are in the order of the records. */
    List<Outcome> store(ContactLog log, LogChanges changes) {
        List<ContactLog.NewContact> fresh = added.values().stream()
                .map(c -> new ContactLog.NewContact(c.contact(), c.provenance(), places.get(c.id())))
                .toList();
        List<LoggedContact> stored = log.add(fresh);
        Map<Long, Long> numbers = new HashMap<>();
        int i = 0;
        for (Long provisional : added.keySet()) {
            numbers.put(provisional, stored.get(i++).id());
        }
        if (!replaced.isEmpty()) {
            changeId = changes.make(ChangeKind.MERGED, mergedSentence(), replaced.size());
            log.replace(replaced.values(), changeId);
        } else if (typed && !stored.isEmpty()) {
            Contact first = stored.get(0).contact();
            changeId = changes.make(ChangeKind.LOGGED, named(first) + " logged.", stored.size());
            changes.brought(changeId, stored.stream().map(LoggedContact::id).toList());
        }
        return verdicts.stream().map(v -> outcome(v, numbers)).toList();
    }

    private String mergedSentence() {
        Contact first = replaced.values().iterator().next().contact();
        return replaced.size() == 1
                ? "A second record of " + named(first) + " was merged into it."
                : "Second records of " + replaced.size() + " contacts were merged into them.";
    }

    private Verdict place(Arrival arrival, Reading.Readable readable, Completion.Completed completed) {
        Contact contact = readable.contact();
        List<LoggedContact> sameCall = known.getOrDefault(contact.call().text(), List.of());
        LoggedContact match = SameContact.find(contact, sameCall).orElse(null);
        if (match == null) {
            LoggedContact fresh = new LoggedContact(
                    -1 - added.size(),
                    contact,
                    Provenance.of(arrival.source()).with(completed.fromRadio(), Source.RADIO));
            added.put(fresh.id(), fresh);
            places.put(fresh.id(), completed.placeId());
            remember(fresh);
            return new Verdict(
                    Decision.ADDED,
                    "New: " + named(contact) + "." + fromRadio(completed.fromRadio()) + notices(readable),
                    fresh.id());
        }
        Merge.Result merged = Merge.merge(match, contact, arrival.source());
        if (merged.changed().isEmpty()) {
            return new Verdict(
                    Decision.DUPLICATE,
                    named(contact) + " is already in the log." + kept(merged) + notices(readable),
                    match.id());
        }
        LoggedContact after = new LoggedContact(match.id(), merged.contact(), merged.provenance());
        forget(match);
        remember(after);
        (after.id() < 0 ? added : replaced).put(after.id(), after);
        return new Verdict(
                Decision.MERGED,
                named(contact) + " is in the log; this brought " + String.join(", ", merged.changed()) + "."
                        + kept(merged) + notices(readable),
                match.id());
    }

    private static String named(Contact contact) {
        return contact.call() + " on " + contact.band().adifName() + " in "
                + contact.mode().label();
    }

    private Outcome outcome(Verdict verdict, Map<Long, Long> numbers) {
        if (verdict.decision() == Decision.REFUSED) {
            return new Outcome(verdict.decision(), verdict.sentence(), null, null);
        }
        long number = verdict.contactNumber();
        return new Outcome(verdict.decision(), verdict.sentence(), numbers.getOrDefault(number, number), changeId);
    }

    private static String fromRadio(List<String> fields) {
        return fields.isEmpty()
                ? ""
                : " From the radio: "
                        + fields.stream().map(RadioCompletion::words).distinct().collect(Collectors.joining(", "))
                        + ".";
    }

    private static String kept(Merge.Result merged) {
        return merged.kept().stream()
                .map(d -> " Kept " + d.field() + " " + d.logged() + "; the record says " + d.arrived() + ".")
                .collect(Collectors.joining());
    }

    private static String notices(Reading.Readable readable) {
        return readable.notices().stream()
                .map(Problem::sentence)
                .map(s -> " " + s)
                .collect(Collectors.joining());
    }

    private void remember(LoggedContact contact) {
        known.computeIfAbsent(contact.contact().call().text(), call -> new ArrayList<>(2))
                .add(contact);
    }

    private void forget(LoggedContact contact) {
        known.get(contact.contact().call().text()).removeIf(c -> c.id() == contact.id());
    }
}
