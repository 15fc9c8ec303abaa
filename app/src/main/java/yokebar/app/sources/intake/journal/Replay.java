package yokebar.app.sources.intake.journal;

import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.Arrival;
import yokebar.app.sources.intake.ArrivalPath;
import yokebar.app.sources.intake.Arrivals;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.app.sources.intake.source.SourceOptions;
import yokebar.core.log.adif.AdifRecord;

/** Sends a record that did not get into the log through the intake once more, after something was put right. */
@Service
class Replay {
    private final Intake intake;
    private final IntakeJournal journal;
    private final RecordSources sources;
    private final Clock clock;

    Replay(Intake intake, IntakeJournal journal, RecordSources sources, Clock clock) {
        this.intake = intake;
        this.journal = journal;
        this.sources = sources;
        this.clock = clock;
    }

    /** @param corrected the record's text put right; null for as it came */
    Outcome again(long journalId, @Nullable String corrected) {
        JournalEntry entry = journal.find(journalId);
        if (entry.contactId != null) {
            throw new Rejection("id", "That record is in the log already.");
        }
        ArrivalPath path = sources.path(entry.source);
        // Asked for by hand: the source's own filter has had its say.
        ArrivalPath wanted = new ArrivalPath(path.sourceId(), path.name(), path.source(), SourceOptions.PLAIN, null);
        String raw = corrected == null || corrected.isBlank() ? entry.rawText() : corrected;
        AdifRecord record = RecordSources.record(raw);
        Arrival arrival = Arrivals.of(record, raw, entry.sender, clock.instant());
        Outcome outcome = intake.take(wanted, List.of(arrival), () -> {}).get(0);
        if (outcome.contactId() != null) {
            journal.settled(journalId);
        }
        return outcome;
    }
}
