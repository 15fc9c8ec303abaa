package yokebar.app.intake;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.BulkInsert;
import yokebar.app.OnConflict;
import yokebar.app.log.ContactLog;
import yokebar.app.log.LogChanges;
import yokebar.core.contact.Contact;
import yokebar.core.contact.ContactAdif;
import yokebar.core.contact.LoggedContact;
import yokebar.core.contact.Reading;
import yokebar.core.contact.SameContact;

/**
 * The only way into the log for records from outside. A batch is one transaction: every record's journal entry, the new and
 * merged contacts and, through the events they cause, their deliveries are all there or all not. One batch at a time, so
 * that two senders of the same contact cannot both be first.
 */
@Service
class Intake {
    /** Records a transaction takes; enough to make the commit cheap, few enough to keep others from waiting. */
    static final int MOST_AT_ONCE = 3000;

    private final ReentrantLock oneAtATime = new ReentrantLock(true);
    private final BulkInsert bulk;
    private final TransactionTemplate transaction;
    private final ContactLog log;
    private final LogChanges changes;
    private final Completion completion;
    private final ApplicationEventPublisher events;

    Intake(
            BulkInsert bulk,
            PlatformTransactionManager transactions,
            ContactLog log,
            LogChanges changes,
            Completion completion,
            ApplicationEventPublisher events) {
        this.bulk = bulk;
        this.transaction = new TransactionTemplate(transactions);
        this.log = log;
        this.changes = changes;
        this.completion = completion;
        this.events = events;
    }

    /**
     * Decides on the records in order and stores the result durably before it returns.
     *
     * @param arrivals at most {@link #MOST_AT_ONCE}, all by the same path
     * @return one outcome for each
     */
    List<Outcome> take(List<Arrival> arrivals) {
        if (arrivals.isEmpty()) {
            return List.of();
        }
        oneAtATime.lock();
        try {
            // An edit by the operator may slip between reading and merging; then all is decided anew.
            List<Outcome> outcomes = OnConflict.tryAgain(() -> transaction.execute(status -> decideAndStore(arrivals)));
            Outcome last = outcomes.get(outcomes.size() - 1);
            events.publishEvent(
                    new RecordsArrived(arrivals.get(0).sourceId(), arrivals.size(), last.decision(), last.sentence()));
            return outcomes;
        } finally {
            oneAtATime.unlock();
        }
    }

    private List<Outcome> decideAndStore(List<Arrival> arrivals) {
        List<Completion.Completed> completed = completion.complete(arrivals);
        List<Reading> readings = new ArrayList<>(arrivals.size());
        for (int i = 0; i < arrivals.size(); i++) {
            Completion.Completed record = completed.get(i);
            readings.add(arrivals.get(i).fault() != null ? null : ContactAdif.read(record.fields(), record.ownCall()));
        }
        IntakeBatch batch = new IntakeBatch(candidates(readings));
        for (int i = 0; i < arrivals.size(); i++) {
            batch.decide(arrivals.get(i), readings.get(i), completed.get(i));
        }
        List<Outcome> outcomes = batch.store(log, changes);
        List<JournalEntry> entries = new ArrayList<>(arrivals.size());
        for (int i = 0; i < arrivals.size(); i++) {
            entries.add(entry(arrivals.get(i), outcomes.get(i)));
        }
        bulk.insert(entries);
        return outcomes;
    }

    /** The contacts of the log that any of the records could be, found in one query. */
    private List<LoggedContact> candidates(List<@Nullable Reading> readings) {
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
                ? List.of()
                : log.around(calls, from.minus(SameContact.VAGUE), until.plus(SameContact.VAGUE));
    }

    private static JournalEntry entry(Arrival arrival, Outcome outcome) {
        JournalEntry entry = new JournalEntry();
        entry.arrivedAt = arrival.arrivedAt();
        entry.source = arrival.sourceId();
        entry.sender = shortened(arrival.sender(), 80);
        entry.raw = shortened(arrival.raw(), Arrivals.MOST_RECORD_CHARACTERS).getBytes(StandardCharsets.UTF_8);
        entry.decision = outcome.decision();
        entry.sentence = shortened(outcome.sentence(), 2000);
        entry.contactId = outcome.contactId();
        return entry;
    }

    private static String shortened(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
    }
}
