package yokebar.app.sources.intake.decide;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.ChangeKind;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.store.ContactLog;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.Decision;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.source.SourceOptions;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Merge;
import yokebar.core.log.contact.Problem;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.Rebuild;
import yokebar.core.log.contact.SameContact;
import yokebar.core.log.contact.Source;
import yokebar.core.sources.radio.RadioCompletion;

/**
 * Decides on the records of one transaction, each in the light of the log and of those before it. New contacts have
 * provisional negative numbers until they are stored.
 */
public final class IntakeBatch {

    private record Verdict(Decision decision, String sentence, long contactNumber) {}

    private static final Duration CLOCKS_DIFFER = Duration.ofHours(26);

    private final Map<String, List<LoggedContact>> known = new HashMap<>();
    private final Map<Long, LoggedContact> added = new LinkedHashMap<>();
    private final Map<Long, LoggedContact> replaced = new LinkedHashMap<>();
    /** Where nothing changed but whom it is known from. */
    private final Map<Long, LoggedContact> restated = new LinkedHashMap<>();
    /** Where the new contacts were made. */
    private final Map<Long, @Nullable Long> places = new HashMap<>();

    private @Nullable Long changeId;
    private final List<Verdict> verdicts = new ArrayList<>();
    private final List<Arrival> arrived = new ArrayList<>();
    private final KnownRecords records;

    private final ArrivalPath path;

    IntakeBatch(
            ArrivalPath path, Collection<LoggedContact> candidates, Collection<Joined> joined, KnownRecords records) {
        this.path = path;
        candidates.forEach(this::remember);
        this.joined.addAll(joined);
        this.records = records;
    }

    /**
     * A contact that the operator joined with another one.
     *
     * @param identity what the other one said of call, time, band and mode
     */
    record Joined(Contact identity, LoggedContact contact) {}

    private final List<Joined> joined = new ArrayList<>();

    /** What the journal has. */
    public interface KnownRecords {
        /** Whether a contact got this very text before. */
        boolean gave(long contactNumber, String raw);

        /** Whether a contact got a record from this sender by this source before. */
        boolean came(long contactNumber, String sourceId, String sender);
    }

    /**
     * @param reading null when the arrival is not a whole record
     * @param completed what it was completed with
     */
    void decide(Arrival arrival, @Nullable Reading reading, Completion.Completed completed) {
        verdicts.add(verdict(arrival, reading, completed));
        arrived.add(arrival);
    }

    private Verdict verdict(Arrival arrival, @Nullable Reading reading, Completion.Completed completed) {
        if (arrival.fault() == null && !path.options().wants(completed.fields(), completed.ownCall())) {
            return new Verdict(
                    Decision.LEFT_OUT,
                    "Left out: " + path.name() + " takes contacts of "
                            + String.join(", ", new TreeSet<>(path.options().ownCalls())) + " only.",
                    0);
        }
        if (reading instanceof Reading.Readable ahead && isAhead(ahead.contact(), arrival)) {
            return new Verdict(
                    Decision.REFUSED,
                    named(ahead.contact()) + " starts on "
                            + ahead.contact().start().toString().substring(0, 10)
                            + ", which is still to come. Is the date right? Correct it here and send it again.",
                    0);
        }
        if (reading instanceof Reading.Readable readable) {
            return place(arrival, readable, completed);
        }
        return new Verdict(
                Decision.REFUSED,
                reading instanceof Reading.Unreadable unreadable
                        ? unreadable.sentence() + (completed.notice() == null ? "" : " " + completed.notice())
                        : String.valueOf(arrival.fault()),
                0);
    }

    /** Clocks differ by hours at most; a date further ahead is a slip, and would stand at the head of the log for years. */
    private static boolean isAhead(Contact contact, Arrival arrival) {
        return contact.start().isAfter(arrival.arrivedAt().plus(CLOCKS_DIFFER));
    }

    /** What would be new. */
    public Collection<LoggedContact> fresh() {
        return added.values();
    }

    /** The contacts of the log that the records are of. */
    public Set<Long> matched() {
        return verdicts.stream()
                .map(Verdict::contactNumber)
                .filter(id -> id > 0)
                .collect(Collectors.toSet());
    }

    /** What would become of the records; nothing of it is stored. */
    public List<Outcome> foreseen() {
        return verdicts.stream()
                .map(v -> new Outcome(v.decision(), v.sentence(), null, null))
                .toList();
    }

    /** Stores what was decided; the outcomes are in the order of the records. */
    List<Outcome> store(ContactLog log, LogChanges changes) {
        List<ContactLog.NewContact> fresh = added.values().stream()
                .map(c -> new ContactLog.NewContact(
                        c.contact(),
                        c.provenance(),
                        places.get(c.id()),
                        path.options().holdDeliveries(),
                        path.options().origins()))
                .toList();
        List<LoggedContact> stored = log.add(fresh);
        Map<Long, Long> numbers = new HashMap<>();
        int i = 0;
        for (Long provisional : added.keySet()) {
            numbers.put(provisional, stored.get(i++).id());
        }
        change(log, changes, stored);
        restated.keySet().removeAll(replaced.keySet());
        log.restate(restated.values());
        return verdicts.stream().map(v -> outcome(v, numbers)).toList();
    }

    /** Merges can be taken back, and so can what somebody typed or imported; what programs bring stands for itself. */
    private void change(ContactLog log, LogChanges changes, List<LoggedContact> stored) {
        changeId = path.changeId();
        boolean bringing = changeId != null || path.source() == Source.OPERATOR;
        if (!replaced.isEmpty()) {
            changeId = changeId != null ? changeId : changes.make(ChangeKind.MERGED, mergedSentence(), replaced.size());
            log.replace(replaced.values(), changeId);
        }
        if (bringing && !stored.isEmpty()) {
            changeId = changeId != null
                    ? changeId
                    : changes.make(ChangeKind.LOGGED, named(stored.get(0).contact()) + " logged.", stored.size());
            changes.brought(changeId, stored.stream().map(LoggedContact::id).toList());
        }
        if (path.changeId() != null) {
            changes.moved(path.changeId(), stored.size() + replaced.size());
        }
    }

    private String mergedSentence() {
        Contact first = replaced.values().iterator().next().contact();
        return replaced.size() == 1
                ? "A second record of " + named(first) + " was merged into it."
                : "Second records of " + replaced.size() + " contacts were merged into them.";
    }

    private Verdict place(Arrival arrival, Reading.Readable readable, Completion.Completed completed) {
        Contact contact = readable.contact();
        Match found = match(arrival, contact);
        LoggedContact match = found == null ? null : found.contact();
        if (match == null) {
            LoggedContact fresh = new LoggedContact(-1 - added.size(), contact, completed.provenance());
            added.put(fresh.id(), fresh);
            places.put(fresh.id(), completed.placeId());
            remember(fresh);
            return new Verdict(
                    Decision.ADDED,
                    "New: " + named(contact) + "." + fromRadio(completed.provenance()) + notices(readable)
                            + (completed.notice() == null ? "" : " " + completed.notice()),
                    fresh.id());
        }
        if (path.options().doubles() == SourceOptions.Doubles.LEAVE) {
            return new Verdict(
                    Decision.DUPLICATE, named(contact) + " is already in the log and stays as it is.", match.id());
        }
        Merge.Result merged = Merge.merge(
                match,
                found != null && found.joined() ? Rebuild.at(match.contact(), contact) : contact,
                completed.provenance());
        boolean nothingNew = merged.changed().isEmpty()
                || merged.corrected().containsAll(merged.changed()) && seen(match.id(), arrival.raw());
        if (nothingNew) {
            if (merged.changed().isEmpty() && !merged.restated().isEmpty()) {
                keep(new LoggedContact(match.id(), match.contact(), merged.provenance()), match, restated);
            }
            return new Verdict(
                    Decision.DUPLICATE,
                    named(contact) + " is already in the log." + kept(merged) + notices(readable),
                    match.id());
        }
        keep(new LoggedContact(match.id(), merged.contact(), merged.provenance()), match, replaced);
        return new Verdict(
                Decision.MERGED,
                named(contact) + " is in the log; this brought " + String.join(", ", merged.changed()) + "."
                        + kept(merged) + notices(readable),
                match.id());
    }

    /** @param joined whether the operator joined it with one that the record is of: it may say another call, time or band */
    private record Match(LoggedContact contact, boolean joined) {}

    private @Nullable Match match(Arrival arrival, Contact contact) {
        List<LoggedContact> others = known.getOrDefault(contact.call().text(), List.of());
        if (arrival.typed() != null && arrival.typed().sameAs() != null) {
            long chosen = arrival.typed().sameAs();
            return others.stream()
                    .filter(other -> other.id() == chosen)
                    .findFirst()
                    .map(other -> new Match(other, false))
                    .orElse(null);
        }
        List<LoggedContact> same = others.stream()
                .filter(other -> same(arrival, contact, other.id(), other.contact()))
                .toList();
        if (same.isEmpty()) {
            return joined.stream()
                    .filter(other -> same(arrival, contact, other.contact().id(), other.identity()))
                    .map(other -> new Match(current(other.contact()), true))
                    .findFirst()
                    .orElse(null);
        }
        // Contacts the operator took apart may lie close together; a record that came before goes where it went then.
        LoggedContact before = same.size() == 1
                ? same.get(0)
                : same.stream()
                        .filter(other -> seen(other.id(), arrival.raw()))
                        .findFirst()
                        .orElseGet(() -> SameContact.nearest(contact, same).orElseThrow());
        return new Match(before, false);
    }

    /** The stricter rule first: whether both came by one path need be asked only when it makes a difference. */
    private boolean same(Arrival arrival, Contact contact, long otherId, Contact other) {
        return SameContact.same(contact, other, SameContact.Paths.SAME)
                || SameContact.same(contact, other, SameContact.Paths.DIFFERENT)
                        && !cameFrom(arrival.sender(), otherId);
    }

    private boolean cameFrom(String sender, long contactNumber) {
        for (int i = 0; i < verdicts.size(); i++) {
            if (verdicts.get(i).contactNumber() == contactNumber
                    && arrived.get(i).sender().equals(sender)) {
                return true;
            }
        }
        return !added.containsKey(contactNumber) && records.came(contactNumber, path.sourceId(), sender);
    }

    private LoggedContact current(LoggedContact contact) {
        return known.getOrDefault(contact.contact().call().text(), List.of()).stream()
                .filter(other -> other.id() == contact.id())
                .findFirst()
                .orElseGet(() -> {
                    remember(contact);
                    return contact;
                });
    }

    /** An old record sent late takes no later correction back. */
    private boolean seen(long contactNumber, String raw) {
        for (int i = 0; i < verdicts.size(); i++) {
            if (verdicts.get(i).contactNumber() == contactNumber
                    && arrived.get(i).raw().equals(raw)) {
                return true;
            }
        }
        return contactNumber > 0 && records.gave(contactNumber, raw);
    }

    private void keep(LoggedContact after, LoggedContact before, Map<Long, LoggedContact> among) {
        forget(before);
        remember(after);
        (after.id() < 0 ? added : among).put(after.id(), after);
    }

    private static String named(Contact contact) {
        return contact.call() + " on " + contact.band().adifName() + " in "
                + contact.mode().label();
    }

    private Outcome outcome(Verdict verdict, Map<Long, Long> numbers) {
        if (verdict.decision() == Decision.REFUSED || verdict.decision() == Decision.LEFT_OUT) {
            return new Outcome(verdict.decision(), verdict.sentence(), null, null);
        }
        long number = verdict.contactNumber();
        return new Outcome(verdict.decision(), verdict.sentence(), numbers.getOrDefault(number, number), changeId);
    }

    private static String fromRadio(Provenance provenance) {
        List<String> fields = provenance.others().keySet().stream()
                .filter(name -> provenance.of(name) == Source.RADIO)
                .sorted()
                .toList();
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
        Objects.requireNonNull(known.get(contact.contact().call().text())).removeIf(c -> c.id() == contact.id());
    }
}
