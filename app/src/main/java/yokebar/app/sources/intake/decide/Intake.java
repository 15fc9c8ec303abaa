package yokebar.app.sources.intake.decide;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.storage.BulkInsert;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.platform.storage.Storage;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.Decision;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.RecordsArrived;
import yokebar.app.sources.intake.journal.IntakeJournal;
import yokebar.app.sources.intake.journal.JournalEntry;
import yokebar.app.sources.intake.journal.SetAside;
import yokebar.core.basics.call.Call;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.SameContact;

/**
 * The only way into the log for records from outside. A batch is one transaction: every record's journal entry, the new and
 * merged contacts and, through the events they cause, their deliveries are all there or all not. One batch at a time, so
 * that two senders of the same contact cannot both be first.
 */
@Service
public class Intake {
    /** Records a transaction takes; enough to make the commit cheap, few enough to keep others from waiting. */
    public static final int MAX_AT_ONCE = 3000;

    private static final Logger LOG = LoggerFactory.getLogger(Intake.class);

    private final ReentrantLock oneAtATime = new ReentrantLock(true);
    private final EntityManager db;
    private final BulkInsert bulk;
    private final TransactionTemplate transaction;
    private final ContactLog log;
    private final LogChanges changes;
    private final Completion completion;
    private final IntakeJournal journal;
    private final ApplicationEventPublisher events;
    private final Storage storage;

    Intake(
            EntityManager db,
            BulkInsert bulk,
            PlatformTransactionManager transactions,
            ContactLog log,
            LogChanges changes,
            Completion completion,
            IntakeJournal journal,
            ApplicationEventPublisher events,
            Storage storage) {
        this.storage = storage;
        this.db = db;
        this.bulk = bulk;
        this.transaction = new TransactionTemplate(transactions);
        this.log = log;
        this.changes = changes;
        this.completion = completion;
        this.journal = journal;
        this.events = events;
    }

    /**
     * Decides on the records in order and stores the result durably before it returns.
     *
     * @param arrivals at most {@link #MAX_AT_ONCE}
     * @return one outcome for each
     */
    public List<Outcome> take(ArrivalPath path, List<Arrival> arrivals) {
        return take(path, arrivals, () -> {});
    }

    /** @param alongside what is stored in the same transaction, such as how far a file has been read */
    public List<Outcome> take(ArrivalPath path, List<Arrival> arrivals, Runnable alongside) {
        if (arrivals.isEmpty()) {
            return List.of();
        }
        storage.require();
        oneAtATime.lock();
        try {
            List<Outcome> outcomes = storeOrSplit(path, arrivals, alongside);
            Outcome last = outcomes.get(outcomes.size() - 1);
            events.publishEvent(new RecordsArrived(path.sourceId(), arrivals.size(), last.decision(), last.sentence()));
            return outcomes;
        } finally {
            oneAtATime.unlock();
        }
    }

    /**
     * Stores a batch in one transaction. When the database or a rule cannot take one of its records, the batch is halved until
     * that one stands alone: it is refused with its reason, and the rest goes in.
     */
    private List<Outcome> storeOrSplit(ArrivalPath path, List<Arrival> arrivals, Runnable alongside) {
        try {
            // An edit by the operator may slip between reading and merging; then all is decided anew.
            return OnConflict.tryAgain(() -> transaction.execute(status -> decideAndStore(path, arrivals, alongside)));
        } catch (RuntimeException e) {
            if (!RecordFault.isOfRecord(e)) {
                throw e;
            }
            if (arrivals.size() == 1) {
                LOG.warn("A record from {} cannot be stored and is refused", path.name(), e);
                return transaction.execute(status -> refuse(path, arrivals.get(0), RecordFault.sentence(e), alongside));
            }
            int half = arrivals.size() / 2;
            List<Outcome> outcomes = new ArrayList<>(storeOrSplit(path, arrivals.subList(0, half), () -> {}));
            outcomes.addAll(storeOrSplit(path, arrivals.subList(half, arrivals.size()), alongside));
            return outcomes;
        }
    }

    private List<Outcome> refuse(ArrivalPath path, Arrival arrival, String sentence, Runnable alongside) {
        Outcome refused = new Outcome(Decision.REFUSED, sentence, null, null);
        List<JournalEntry> entries = List.of(entry(path, arrival, refused));
        bulk.insert(entries);
        bulk.insert(setAside(List.of(arrival), entries));
        alongside.run();
        return List.of(refused);
    }

    private List<Outcome> decideAndStore(ArrivalPath path, List<Arrival> arrivals, Runnable alongside) {
        IntakeBatch batch = decide(path, arrivals, readings -> List.of(), journal);
        List<Outcome> outcomes = batch.store(log, changes);
        List<JournalEntry> entries = new ArrayList<>(arrivals.size());
        for (int i = 0; i < arrivals.size(); i++) {
            entries.add(entry(path, arrivals.get(i), outcomes.get(i)));
        }
        bulk.insert(entries);
        bulk.insert(setAside(arrivals, entries));
        alongside.run();
        return outcomes;
    }

    /**
     * Decides on records in the light of the log, within the running transaction, without storing anything.
     *
     * @param others finds further contacts that the records could be
     * @param records tells of records that came before
     */
    public IntakeBatch decide(
            ArrivalPath path,
            List<Arrival> arrivals,
            Function<List<Reading>, List<LoggedContact>> others,
            IntakeBatch.KnownRecords records) {
        List<Completion.Completed> completed = completion.complete(path, arrivals);
        List<Reading> readings = new ArrayList<>(arrivals.size());
        for (int i = 0; i < arrivals.size(); i++) {
            Completion.Completed record = completed.get(i);
            readings.add(arrivals.get(i).fault() != null ? null : ContactAdif.read(record.fields(), record.ownCall()));
        }
        List<LoggedContact> candidates = new ArrayList<>(candidates(readings));
        candidates.addAll(others.apply(readings));
        IntakeBatch batch = new IntakeBatch(path, candidates, joined(readings), records);
        for (int i = 0; i < arrivals.size(); i++) {
            batch.decide(arrivals.get(i), readings.get(i), completed.get(i));
        }
        return batch;
    }

    /** What did not get into the log, by the call it names. */
    private static List<SetAside> setAside(List<Arrival> arrivals, List<JournalEntry> entries) {
        List<SetAside> aside = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            Call call = Call.read(String.valueOf(arrivals.get(i).fields().get("CALL")));
            Long journalId = entries.get(i).id;
            if (entries.get(i).contactId == null && call != null && journalId != null) {
                SetAside one = new SetAside();
                one.journalId = journalId;
                one.callSign = call.text();
                aside.add(one);
            }
        }
        return aside;
    }

    /** The contacts of the log that any of the records could be, found in one query. */
    private List<LoggedContact> candidates(List<@Nullable Reading> readings) {
        Span span = Span.of(readings);
        return span.calls().isEmpty() ? List.of() : log.around(span.calls(), span.from(), span.until());
    }

    /** What the operator joined with contacts that any of the records could be. */
    private List<IntakeBatch.Joined> joined(List<@Nullable Reading> readings) {
        Span span = Span.of(readings);
        if (span.calls().isEmpty()) {
            return List.of();
        }
        List<AlsoKnown> known = db.createNativeQuery(
                        "select a.* from unnest(:calls) as w(c) join also_known a"
                                + " on a.call_sign = w.c and a.started_at between :from and :until",
                        AlsoKnown.class)
                .setParameter("calls", span.calls().toArray(String[]::new))
                .setParameter("from", span.from())
                .setParameter("until", span.until())
                .getResultList();
        Map<Long, LoggedContact> contacts =
                log.find(known.stream().map(k -> k.contactId).distinct().toList());
        return known.stream()
                .filter(k -> contacts.containsKey(k.contactId))
                .map(k -> new IntakeBatch.Joined(k.identity(), Objects.requireNonNull(contacts.get(k.contactId))))
                .toList();
    }

    /** Which calls the records name, and the time in which contacts could be the same as one of them. */
    private record Span(Set<String> calls, Instant from, Instant until) {
        static Span of(List<@Nullable Reading> readings) {
            Set<String> calls = new HashSet<>();
            Instant from = Instant.MAX;
            Instant until = Instant.MIN;
            for (Reading reading : readings) {
                if (reading instanceof Reading.Readable readable) {
                    Contact contact = readable.contact();
                    calls.add(contact.call().text());
                    from = contact.start().isBefore(from) ? contact.start() : from;
                    until = contact.start().isAfter(until) ? contact.start() : until;
                }
            }
            return calls.isEmpty()
                    ? new Span(calls, from, until)
                    : new Span(calls, from.minus(SameContact.VAGUE), until.plus(SameContact.VAGUE));
        }
    }

    private static JournalEntry entry(ArrivalPath path, Arrival arrival, Outcome outcome) {
        JournalEntry entry = new JournalEntry();
        entry.arrivedAt = arrival.arrivedAt();
        entry.source = path.sourceId();
        entry.sender = JournalEntry.shortened(arrival.sender(), JournalEntry.MAX_SENDER_CHARACTERS);
        entry.raw = JournalEntry.bytes(arrival.raw());
        entry.decision = outcome.decision();
        entry.sentence = JournalEntry.shortened(outcome.sentence(), 2000);
        entry.contactId = outcome.contactId();
        return entry;
    }
}
