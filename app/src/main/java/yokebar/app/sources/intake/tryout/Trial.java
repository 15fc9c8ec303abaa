package yokebar.app.sources.intake.tryout;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.app.sources.intake.decide.IntakeBatch;
import yokebar.app.sources.intake.journal.IntakeJournal;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Reading;

/** Decides on records as the intake would, without storing anything. */
@Service
class Trial {
    private static final Set<String> COMPARED =
            Set.of("RST_SENT", "RST_RCVD", "STX", "SRX", "STX_STRING", "SRX_STRING");

    private final Intake intake;
    private final IntakeJournal journal;
    private final TransactionTemplate transaction;

    Trial(Intake intake, IntakeJournal journal, PlatformTransactionManager transactions) {
        this.intake = intake;
        this.journal = journal;
        this.transaction = new TransactionTemplate(transactions);
        transaction.setReadOnly(true);
    }

    Session session(ArrivalPath path) {
        return new Session(path);
    }

    /** One log; what an earlier batch of it would bring into the log counts as being there. */
    final class Session implements IntakeBatch.KnownRecords {
        private final ArrivalPath path;
        private final Map<String, List<LoggedContact>> brought = new HashMap<>();
        private final Set<Long> matched = new HashSet<>();
        private long next = Long.MIN_VALUE;

        private Session(ArrivalPath path) {
            this.path = path;
        }

        List<Outcome> decide(List<Arrival> arrivals) {
            return transaction.execute(status -> {
                IntakeBatch batch = intake.decide(path, arrivals, this::earlier, this);
                for (LoggedContact fresh : batch.fresh()) {
                    Contact contact = fresh.contact();
                    // What decides whether another record is the same contact; the rest would only fill the memory.
                    AdifFields compared = contact.details().without(name -> !COMPARED.contains(name));
                    brought.computeIfAbsent(contact.call().text(), call -> new ArrayList<>(1))
                            .add(new LoggedContact(next++, contact.with(compared), fresh.provenance()));
                }
                matched.addAll(batch.matched());
                return batch.foreseen();
            });
        }

        @Override
        public boolean gave(long contactNumber, String raw) {
            return journal.gave(contactNumber, raw);
        }

        /** What an earlier batch would bring, or bring something to, came from this very log. */
        @Override
        public boolean came(long contactNumber, String sourceId, String sender) {
            return contactNumber < 0
                    || matched.contains(contactNumber)
                    || journal.came(contactNumber, sourceId, sender);
        }

        private List<LoggedContact> earlier(List<Reading> readings) {
            Set<String> calls = new HashSet<>();
            List<LoggedContact> earlier = new ArrayList<>();
            for (Reading reading : readings) {
                if (reading instanceof Reading.Readable readable
                        && calls.add(readable.contact().call().text())) {
                    earlier.addAll(
                            brought.getOrDefault(readable.contact().call().text(), List.of()));
                }
            }
            return earlier;
        }
    }
}
