package yokebar.app.sources.intake.journal;

import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Lets go of old repeats in the journal now and then. */
@Component
class JournalKeeping {
    private static final Logger LOG = LoggerFactory.getLogger(JournalKeeping.class);
    private static final long FIRST_MS = 600_000;
    private static final long EVERY_MS = 21_600_000;

    private final IntakeJournal journal;
    private final Clock clock;

    JournalKeeping(IntakeJournal journal, Clock clock) {
        this.journal = journal;
        this.clock = clock;
    }

    @Scheduled(initialDelay = FIRST_MS, fixedDelay = EVERY_MS)
    void work() {
        int gone = journal.forgetRepeats(clock.instant());
        if (gone > 0) {
            LOG.info("{} old repeats were taken out of the journal", gone);
        }
    }
}
