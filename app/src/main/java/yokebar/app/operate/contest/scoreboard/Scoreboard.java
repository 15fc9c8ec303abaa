package yokebar.app.operate.contest.scoreboard;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.operate.contest.scoreboard.RunningContests.RunningContest;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.hookup.ServiceHookup;
import yokebar.core.operate.contest.Score;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.tallyho.BoardScore;
import yokebar.links.services.tallyho.PostedScore;
import yokebar.links.services.tallyho.TallyHoClient;

/**
 * The scoreboard as a coupling. Only the present score is ever posted: after the line was lost, once, and never more often than the
 * scoreboard allows, also when the application was started anew in between.
 */
@Component
public class Scoreboard extends ServiceHookup {
    static final String ID = "tally-ho";
    static final String NAME = "Tally Ho";
    private static final Logger LOG = LoggerFactory.getLogger(Scoreboard.class);
    private static final String LOOK_EVERY_MS = "${yokebar.look-every-ms:5000}";

    private final ScoreboardSettings settings;
    private final RunningContests contests;
    private final Clock clock;
    private final RowCache<String, TallyHoClient> client = new RowCache<>();

    Scoreboard(ScoreboardSettings settings, RunningContests contests, Hookups hookups, Clock clock) {
        super(ID, Kind.CONTEST, NAME, hookups, clock);
        this.settings = settings;
        this.contests = contests;
        this.clock = clock;
    }

    @TransactionalEventListener
    void changed(ScoreboardSettings.Changed event) {
        client.forget();
        setUpAnew();
    }

    @Scheduled(initialDelayString = LOOK_EVERY_MS, fixedDelayString = LOOK_EVERY_MS)
    void look() {
        if (!isRunning() || !complete()) {
            return;
        }
        if (ready(Purpose.HAND_OVER)) {
            postWhatIsDue();
        }
        testInDoubt();
    }

    /** Posts the score of each running contest that is another one than was posted last, when it may. */
    synchronized void postWhatIsDue() {
        Instant now = clock.instant();
        for (RunningContest contest : contests.running(now)) {
            Score score = contest.score();
            // Whoever has made no contact yet is not on the scoreboard.
            boolean news = settings.lastPost(contest.bookId())
                    .map(last -> last.score != score.score() || last.contacts != score.contacts())
                    .orElse(score.contacts() > 0);
            if (news
                    && ready(Purpose.HAND_OVER)
                    && !settings.nextPost(contest.bookId(), now).isAfter(now)) {
                try {
                    post(contest.bookId(), posted(contest, now));
                } catch (ServiceUnreachable | ServiceRefused e) {
                    LOG.debug("The score was not posted", e);
                }
            }
        }
    }

    private PostedScore posted(RunningContest contest, Instant now) {
        Score score = contest.score();
        return new PostedScore(
                contest.contest(),
                contest.call(),
                now,
                score.score(),
                score.contacts(),
                score.points(),
                score.multipliers(),
                score.byBand().stream()
                        .map(band -> new PostedScore.Band(band.band().adifName(), band.contacts(), band.points()))
                        .toList(),
                contest.category(),
                contest.club(),
                settings.row().team);
    }

    private void post(long bookId, PostedScore score) throws ServiceRefused, ServiceUnreachable {
        Duration every = during(Purpose.HAND_OVER, () -> client().post(score));
        settings.posted(bookId, score.at(), score.score(), score.contacts(), every);
        moved(1, "Posted " + score.score() + " of " + score.contest() + ".");
    }

    /**
     * Posts a score that somebody typed.
     *
     * @throws Rejection when it is too early, or the scoreboard does not take it
     */
    synchronized void postByHand(PostedScore score) {
        Instant now = clock.instant();
        Instant next = settings.nextPost(PostRow.BY_HAND, now);
        if (next.isAfter(now)) {
            throw new Rejection(
                    "score",
                    NAME + " takes no score so soon after the last. Try again in "
                            + (Duration.between(now, next).toSeconds() + 1) + " s.");
        }
        try {
            post(PostRow.BY_HAND, score);
        } catch (ServiceUnreachable | ServiceRefused e) {
            throw new Rejection("score", String.valueOf(e.getMessage()));
        }
    }

    /** The stations of a contest. */
    List<BoardScore> scores(String contest) throws ServiceRefused, ServiceUnreachable {
        return during(Purpose.READ, () -> client().scores(contest));
    }

    /** How the score of a station grew. */
    List<TallyHoClient.ScoreStep> course(String contest, String call) throws ServiceRefused, ServiceUnreachable {
        return during(Purpose.READ, () -> client().course(contest, call));
    }

    private TallyHoClient client() {
        return client.get(NAME, () -> settings.client().orElseThrow(() -> new Rejection("address", notSetUp())));
    }

    private static String notSetUp() {
        return NAME
                + " is not set up: address, account and password are needed. Do it in a contest book, under Scoreboard.";
    }

    @Override
    public boolean complete() {
        return settings.client().isPresent();
    }

    @Override
    public String where() {
        return Optional.ofNullable(settings.row().address).orElse("not set up");
    }

    @Override
    public Proof test() {
        if (!complete()) {
            return new Proof(false, notSetUp());
        }
        try {
            TallyHoClient.Terms terms = during(Purpose.READ, () -> client().account());
            return new Proof(
                    true, terms.words() + ", one every " + terms.every().toSeconds() + " s. Nothing was posted.");
        } catch (ServiceUnreachable | ServiceRefused e) {
            return new Proof(false, String.valueOf(e.getMessage()));
        }
    }
}
