package yokebar.app.operate.contest.scoreboard;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.tallyho.BoardScore;
import yokebar.links.services.tallyho.PostedScore;

/** The live scoreboard over HTTP. */
@RestController
@RequestMapping("/api/scoreboard")
class ScoreboardController {
    private static final int LONGEST = 60;

    private final ScoreboardSettings settings;
    private final Scoreboard scoreboard;
    private final Clock clock;

    ScoreboardController(ScoreboardSettings settings, Scoreboard scoreboard, Clock clock) {
        this.settings = settings;
        this.scoreboard = scoreboard;
        this.clock = clock;
    }

    /**
     * How scores are posted.
     *
     * @param hookup the coupling
     * @param address of the scoreboard; null while it is not set up
     * @param account null while it is not set up
     * @param hasPassword whether one is stored
     * @param secretNotice what there is to know of the password, as that it must be typed again; null when nothing
     * @param team empty for none
     * @param everyMinutes how often the score is posted
     * @param allowedEverySeconds what the scoreboard allows at most
     */
    record ScoreboardView(
            String hookup,
            @Nullable String address,
            @Nullable String account,
            boolean hasPassword,
            @Nullable String secretNotice,
            String team,
            int everyMinutes,
            int allowedEverySeconds) {}

    /**
     * The last score that was posted of a book.
     *
     * @param postedAt UTC; null when none was
     * @param score null when none was posted
     * @param nextAt when the next may be posted, UTC; null when it may at once
     */
    record LastPost(@Nullable Instant postedAt, @Nullable Long score, @Nullable Instant nextAt) {}

    /**
     * A score that somebody counts without a book.
     *
     * @param contest as in the Cabrillo log
     * @param call own call
     * @param score 0 or more
     * @param contacts 0 or more
     * @param points 0 or more
     * @param multipliers 0 or more
     */
    record ScoreByHand(
            @Nullable String contest,
            @Nullable String call,
            @Nullable Long score,
            @Nullable Integer contacts,
            @Nullable Long points,
            @Nullable Integer multipliers) {}

    /**
     * A station on the scoreboard.
     *
     * @param call of the station
     * @param score what it has come to
     * @param at when it was counted, UTC
     * @param contacts 0 when not told
     * @param multipliers how many of each, by their names
     * @param category choices by the name of the category
     * @param club empty for none
     * @param team empty for none
     * @param continent such as {@code EU}; empty when not told
     */
    record BoardLine(
            String call,
            long score,
            Instant at,
            int contacts,
            Map<String, Integer> multipliers,
            Map<String, String> category,
            String club,
            String team,
            String continent) {

        static BoardLine of(BoardScore of) {
            return new BoardLine(
                    of.call(),
                    of.score(),
                    of.at(),
                    of.contacts(),
                    of.multipliers(),
                    of.category(),
                    of.club(),
                    of.team(),
                    of.continent());
        }
    }

    /**
     * A score at a moment.
     *
     * @param at UTC
     * @param score what it had come to
     */
    record BoardStep(Instant at, long score) {}

    /** How scores are posted. */
    @GetMapping
    ScoreboardView scoreboard() {
        ScoreboardRow row = settings.row();
        return new ScoreboardView(
                Scoreboard.ID,
                row.address,
                row.account,
                settings.hasPassword(row),
                settings.secretNotice(row),
                row.team,
                row.everyMinutes,
                row.allowedEveryS);
    }

    /** Sets up the scoreboard. */
    @PutMapping
    ScoreboardView setUpScoreboard(@RequestBody ScoreboardSettings.ScoreboardDraft draft) {
        OnConflict.tryAgain(() -> settings.save(draft));
        return scoreboard();
    }

    /** The last score that was posted of a book. */
    @GetMapping("/last-post")
    LastPost lastPost(@RequestParam long book) {
        Instant now = clock.instant();
        Instant next = settings.nextPost(book, now);
        return settings.lastPost(book)
                .map(last -> new LastPost(last.postedAt, last.score, next.isAfter(now) ? next : null))
                .orElseGet(() -> new LastPost(null, null, null));
    }

    /** The stations of a contest on the scoreboard, the highest score first. */
    @GetMapping("/scores")
    List<BoardLine> boardScores(@RequestParam String contest) {
        return answered(() -> scoreboard.scores(contest)).stream()
                .sorted(Comparator.comparingLong(BoardScore::score).reversed())
                .map(BoardLine::of)
                .toList();
    }

    /** How the score of a station grew. */
    @GetMapping("/course")
    List<BoardStep> boardCourse(@RequestParam String contest, @RequestParam String call) {
        return answered(() -> scoreboard.course(contest, call)).stream()
                .map(step -> new BoardStep(step.at(), step.score()))
                .toList();
    }

    /** Something asked of the scoreboard. */
    private interface Question<T> {
        T ask() throws ServiceRefused, ServiceUnreachable;
    }

    private static <T> T answered(Question<T> question) {
        try {
            return question.ask();
        } catch (ServiceUnreachable | ServiceRefused e) {
            throw new Rejection("address", String.valueOf(e.getMessage()));
        }
    }

    /** Posts a score that somebody counts without a book. */
    @PostMapping("/by-hand")
    LastPost postScoreByHand(@RequestBody ScoreByHand typed) {
        String contest = text("contest", typed.contest());
        Call call = Call.read(text("call", typed.call()));
        if (call == null) {
            throw new Rejection("call", "\"" + typed.call() + "\" is not a call.");
        }
        scoreboard.postByHand(new PostedScore(
                contest,
                call.text(),
                clock.instant(),
                atLeastZero("score", typed.score()),
                (int) atLeastZero("contacts", typed.contacts()),
                atLeastZero("points", typed.points()),
                Map.of("multipliers", (int) atLeastZero("multipliers", typed.multipliers())),
                List.of(),
                Map.of(),
                "",
                settings.row().team));
        return lastPost(PostRow.BY_HAND);
    }

    private static String text(String field, @Nullable String typed) {
        String text = typed == null ? "" : typed.strip();
        if (text.isEmpty() || text.length() > LONGEST) {
            throw new Rejection(field, "The " + field + " is needed, in at most " + LONGEST + " characters.");
        }
        return text;
    }

    private static long atLeastZero(String field, @Nullable Number typed) {
        if (typed == null || typed.longValue() < 0) {
            throw new Rejection(field, "The " + field + " must be a whole number, 0 or more.");
        }
        return typed.longValue();
    }
}
