package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.tallyho.TallyHo;
import yokebar.standins.world.World;

/** Posting to the scoreboard, which can go away and come back. */
class ScoreboardTest extends ContestTest {
    private static final String CONTEST = "HARBOUR-HOURS";

    private TallyHo board;

    @BeforeEach
    void switchOn() throws IOException {
        board = new TallyHo(new World(1), Clock.systemUTC(), 0);
    }

    @AfterEach
    void takeDown() throws Exception {
        ok(put(Map.of("address", "", "account", "", "clearPassword", true, "everyMinutes", 5)));
        board.close();
    }

    private HttpResponse<String> put(Map<String, Object> draft) throws Exception {
        return sendJson("PUT", "/api/scoreboard", draft);
    }

    private JsonNode setUp(String password) throws Exception {
        return ok(put(Map.of("address", board.address(), "account", TallyHo.ACCOUNT, "password", password)));
    }

    private String tested() throws Exception {
        return ok(sendJson("POST", "/api/hookups/tally-ho/test", Map.of())).toString();
    }

    private List<JsonNode> posted() {
        return board.posted(CONTEST, "CU9QYB");
    }

    /** As if the last score had been posted long ago. */
    private void timePasses() {
        jdbc.update("update scoreboard_post set posted_at = dateadd(minute, -10, posted_at)");
    }

    /** The scoreboard has so many scores, and Yokebar has noted the last; only then time can pass. */
    private void awaitPosted(int posts) {
        await(posts + " scores are posted", () -> posted().size() == posts && isNoted(posted().get(posts - 1)));
    }

    private boolean isNoted(JsonNode post) {
        try {
            Instant noted = Instant.parse(get("/api/scoreboard/last-post?book=" + bookId)
                    .path("postedAt")
                    .asString(Instant.EPOCH.toString()));
            // The log keeps milliseconds.
            return Duration.between(noted, Instant.parse(post.path("at").asString()))
                            .abs()
                            .compareTo(Duration.ofMillis(1))
                    <= 0;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private void hurry() throws Exception {
        ok(sendJson("POST", "/api/hookups/tally-ho/connect", Map.of()));
    }

    @Test
    void testingItSaysYesOrWhyNot() throws Exception {
        assertThat(tested()).contains("Tally Ho is not set up");
        setUp("wrong");
        assertThat(tested()).contains("Tally Ho refuses the account CU9QYB: no such account.");
        setUp(TallyHo.PASSWORD);
        assertThat(tested()).contains("Account CU9QYB may post scores, one every 120 s. Nothing was posted.");
        board.setUp(false);
        assertThat(tested()).contains("cannot be reached");
        assertThat(posted()).isEmpty();
    }

    @Test
    void aScoreIsPostedWhenItIsAnotherOneAndNeverFasterThanAllowed() throws Exception {
        ok(put(Map.of("everyMinutes", 1, "team", "Lamp room")));
        setUp(TallyHo.PASSWORD);
        log("w1qab 12 5");
        awaitPosted(1);
        JsonNode first = posted().get(0);
        assertThat(first.path("score").asLong()).isEqualTo(score().path("score").asLong());
        assertThat(first.path("contacts").asInt()).isEqualTo(1);
        assertThat(first.path("team").asString()).isEqualTo("Lamp room");
        assertThat(first.path("category").path("operator").asString()).isEqualTo("SINGLE-OP");
        assertThat(first.path("category").path("power").asString()).isEqualTo("LOW");
        log("w2qab 13 4");
        JsonNode last = get("/api/scoreboard/last-post?book=" + bookId);
        assertThat(last.path("score").asLong()).isEqualTo(first.path("score").asLong());
        assertThat(last.has("nextAt")).as("120 s must pass first").isTrue();
        board.setEverySeconds(0);
        timePasses();
        awaitPosted(2);
        timePasses();
        log("w2qab 13 4");
        timePasses();
        log("k1qaa 7 3");
        await(
                "the third is posted",
                () -> posted().get(posted().size() - 1).path("contacts").asInt() == 3);
        assertThat(posted())
                .extracting(post -> post.path("score").asLong())
                .as("a dupe changes nothing, so it was not posted")
                .hasSize(3)
                .doesNotHaveDuplicates();
        assertThat(board.summary()).containsEntry("tooEarly", 0);
    }

    @Test
    void afterTheLineWasLostOnlyThePresentScoreIsPosted() throws Exception {
        setUp(TallyHo.PASSWORD);
        board.setUp(false);
        log("w1qab 12 5");
        await("the trouble is shown", () -> state().equals("TROUBLE"));
        log("w2qab 13 4");
        log("k1qaa 7 3");
        board.setUp(true);
        hurry();
        await("it is posted", () -> posted().size() == 1);
        assertThat(posted().get(0).path("contacts").asInt()).isEqualTo(3);
        await("all is well", () -> state().equals("LIVE"));
        assertThat(posted()).hasSize(1);
    }

    private String state() {
        return hookupState("tally-ho");
    }

    @Test
    void theStationsOfAContestAreShownWithHowTheirScoresGrew() throws Exception {
        setUp(TallyHo.PASSWORD);
        log("w1qab 12 5");
        await("the score is posted", () -> posted().size() == 1);
        JsonNode scores = get("/api/scoreboard/scores?contest=" + CONTEST);
        assertThat(scores.size()).isGreaterThan(20);
        assertThat(scores)
                .extracting(line -> -line.path("score").asLong())
                .as("the highest first")
                .isSorted();
        assertThat(scores).extracting(line -> line.path("call").asString()).contains("CU9QYB");
        String best = scores.path(0).path("call").asString();
        assertThat(get("/api/scoreboard/course?contest=" + CONTEST + "&call=" + best)
                        .size())
                .isGreaterThan(10);
        board.setUp(false);
        HttpResponse<String> none =
                send(request("/api/scoreboard/scores?contest=" + CONTEST).GET());
        assertThat(none.statusCode()).isEqualTo(422);
        assertThat(none.body()).contains("cannot be reached");
    }

    @Test
    void aScoreIsPostedByHandToo() throws Exception {
        setUp(TallyHo.PASSWORD);
        Map<String, Object> typed = new HashMap<>(Map.of(
                "contest",
                "PAPER-LOG",
                "call",
                "cu9qyb",
                "score",
                120,
                "contacts",
                10,
                "points",
                30,
                "multipliers",
                4));
        ok(sendJson("POST", "/api/scoreboard/by-hand", typed));
        assertThat(board.posted("PAPER-LOG", "CU9QYB").get(0).path("score").asLong())
                .isEqualTo(120);
        assertThat(sendJson("POST", "/api/scoreboard/by-hand", typed).body())
                .contains("Tally Ho takes no score so soon after the last. Try again in 1");
        typed.put("score", -1);
        assertThat(sendJson("POST", "/api/scoreboard/by-hand", typed).body())
                .contains("The score must be a whole number, 0 or more.");
    }

    @Test
    void thePasswordIsNeverGivenBackAndStaysWithItsHost() throws Exception {
        assertThat(setUp(TallyHo.PASSWORD).path("hasPassword").asBoolean()).isTrue();
        assertThat(get("/api/scoreboard").toString()).doesNotContain(TallyHo.PASSWORD);
        assertThat(jdbc.queryForMap("select * from scoreboard").toString()).doesNotContain(TallyHo.PASSWORD);
        JsonNode moved = ok(put(Map.of("address", "http://127.0.0.1:9/")));
        assertThat(moved.path("hasPassword").asBoolean()).isFalse();
        assertThat(moved.path("secretNotice").asString()).contains("Type it again");
        assertThat(put(Map.of("everyMinutes", 0)).statusCode()).isEqualTo(422);
        assertThat(put(Map.of("address", "nonsense")).statusCode()).isEqualTo(422);
    }
}
