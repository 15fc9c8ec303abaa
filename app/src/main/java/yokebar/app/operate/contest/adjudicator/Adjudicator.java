package yokebar.app.operate.contest.adjudicator;

import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.operate.contest.adjudicator.ContestLogs.WrittenLog;
import yokebar.app.operate.contest.adjudicator.HandedInLogs.AwaitedReport;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.hookup.ServiceHookup;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.faircopy.FairCopyClient;
import yokebar.links.services.faircopy.HandInAnswer;
import yokebar.links.services.faircopy.ReportAnswer;

/** The adjudicator as a coupling. A log goes there only when the operator hands it in; its report is asked for automatically. */
@Component
class Adjudicator extends ServiceHookup {
    static final String ID = "fair-copy";
    private static final String NAME = "Fair Copy";
    private static final Logger LOG = LoggerFactory.getLogger(Adjudicator.class);
    private static final String LOOK_EVERY_MS = "${yokebar.look-every-ms:5000}";

    private final AdjudicatorSettings settings;
    private final ContestLogs contests;
    private final HandedInLogs handedIn;
    private final Clock clock;
    private final RowCache<String, FairCopyClient> client = new RowCache<>();

    Adjudicator(
            AdjudicatorSettings settings, ContestLogs contests, HandedInLogs handedIn, Hookups hookups, Clock clock) {
        super(ID, Kind.CONTEST, NAME, hookups, clock);
        this.settings = settings;
        this.contests = contests;
        this.handedIn = handedIn;
        this.clock = clock;
    }

    @TransactionalEventListener
    void changed(AdjudicatorSettings.Changed event) {
        client.forget();
        setUpAnew();
    }

    @Scheduled(initialDelayString = LOOK_EVERY_MS, fixedDelayString = LOOK_EVERY_MS)
    void look() {
        if (!isRunning() || !complete()) {
            return;
        }
        testInDoubt();
        for (AwaitedReport awaited : handedIn.due(clock.instant())) {
            if (ready(Purpose.FOLLOW_UP)) {
                try {
                    ask(awaited);
                } catch (ServiceUnreachable | ServiceRefused e) {
                    LOG.debug("The report was not read", e);
                }
            }
        }
    }

    /**
     * Hands in the log of a book. What is refused in it is noted, and the log that was handed in before stays.
     *
     * @throws Rejection when the adjudicator is not set up, cannot be reached or refuses the account
     */
    synchronized void handIn(long bookId) {
        FairCopyClient to = client();
        WrittenLog log = contests.written(bookId);
        try {
            HandInAnswer answer = during(Purpose.HAND_OVER, () -> to.handIn(log.text()));
            if (answer instanceof HandInAnswer.Taken taken) {
                handedIn.taken(bookId, log, taken, clock.instant());
                moved(log.contactIds().size(), "Took a log, receipt " + taken.receipt() + ".");
            } else if (answer instanceof HandInAnswer.NotTaken refused) {
                handedIn.notTaken(bookId, log, refused, clock.instant());
                moved(0, "Refused a log: " + refused.words() + ".");
            }
        } catch (ServiceRefused e) {
            throw new Rejection("log", e.getMessage() + " " + e.fix());
        } catch (ServiceUnreachable e) {
            // The log may have arrived, and only the answer was lost.
            throw new Rejection("log", e.getMessage() + " Hand the log in again later; only the last one counts.");
        }
    }

    /**
     * Asks for the report on the log of a book now.
     *
     * @throws Rejection when there is none to ask for, or no answer
     */
    void askForReport(long bookId) {
        String receipt = handedIn.read(bookId)
                .map(row -> row.receipt)
                .orElseThrow(() -> new Rejection("log", "The log of this book was not handed in yet."));
        try {
            ask(new AwaitedReport(bookId, receipt));
        } catch (ServiceUnreachable | ServiceRefused e) {
            throw new Rejection("log", String.valueOf(e.getMessage()));
        }
    }

    /** Not while a log is handed in: a report is about the log that is noted here. */
    private synchronized void ask(AwaitedReport awaited) throws ServiceUnreachable, ServiceRefused {
        ReportAnswer answer = during(Purpose.FOLLOW_UP, () -> client().report(awaited.receipt()));
        Instant now = clock.instant();
        if (handedIn.reported(awaited, answer, now) && answer instanceof ReportAnswer.Checked checked) {
            moved(1, "Reported on " + awaited.receipt() + ": " + checked.score() + ".");
        }
    }

    private FairCopyClient client() {
        return client.get(NAME, () -> settings.client().orElseThrow(() -> new Rejection("address", notSetUp())));
    }

    private static String notSetUp() {
        return NAME
                + " is not set up: address, account and password are needed. Do it in a contest book, under Hand in.";
    }

    @Override
    public boolean complete() {
        return settings.client().isPresent();
    }

    @Override
    public String where() {
        return Optional.ofNullable(settings.view().address()).orElse("not set up");
    }

    @Override
    public Proof test() {
        if (!complete()) {
            return new Proof(false, notSetUp());
        }
        try {
            return new Proof(true, during(Purpose.READ, () -> client().account()) + ". Nothing was handed in.");
        } catch (ServiceUnreachable | ServiceRefused e) {
            return new Proof(false, String.valueOf(e.getMessage()));
        }
    }
}
