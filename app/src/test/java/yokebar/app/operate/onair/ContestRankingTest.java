package yokebar.app.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.operate.contest.SampleContest;
import yokebar.app.sources.digital.DecodeHeard;

/** Who is on the air, ranked by what a contact brings in a contest. */
class ContestRankingTest extends AirTest {
    private long bookId;

    @BeforeEach
    void beginABook() throws Exception {
        Instant from = Instant.now().truncatedTo(ChronoUnit.HOURS).minus(Duration.ofHours(1));
        assertThat(send(request("/api/contest-definitions")
                                .header("Content-Type", "text/plain")
                                .POST(HttpRequest.BodyPublishers.ofString(SampleContest.definition(from))))
                        .statusCode())
                .isEqualTo(200);
        bookId = JSON.readTree(
                        sendJson("POST", "/api/contest-books", Map.of("contest", "Harbour Hours", "power", "LOW"))
                                .body())
                .path("id")
                .asLong();
    }

    /** All are heard here just as well, so that only what they bring makes a difference. */
    private void heard(String call, long hz, String mode) {
        air.decoded(new DecodeHeard("link-x", "run 1", Instant.now(), -7, hz, mode, call, null, true, "CQ " + call));
    }

    private JsonNode ranked(String since) throws Exception {
        Map<String, Object> asked = new HashMap<>(Map.of("filter", ALL, "contestBook", bookId));
        asked.put("since", since);
        return JSON.readTree(sendJson("POST", "/api/onair/look", asked).body());
    }

    private static List<String> calls(JsonNode news) {
        return StreamSupport.stream(news.path("spots").spliterator(), false)
                .map(spot -> spot.path("call").asString())
                .toList();
    }

    private void log(String call, String zone) throws Exception {
        assertThat(sendJson(
                                "POST",
                                "/api/contest-books/" + bookId + "/line/log",
                                Map.of(
                                        "text",
                                        call + " 7 " + zone,
                                        "frequency",
                                        "14025",
                                        "mode",
                                        "CW",
                                        "agoMs",
                                        0,
                                        "key",
                                        call))
                        .statusCode())
                .isEqualTo(200);
    }

    @Test
    void whoRaisesTheScoreMostStandsFirstAndWhoDoesNotCountIsLeftOut() throws Exception {
        log("dl1qaa", "14");
        log("w1qab", "5");
        heard("DL2QAB", 14_020_000, "CW");
        heard("W2QAB", 14_021_000, "CW");
        heard("ZP5QXA", 14_022_000, "CW");
        heard("DL1QAA", 14_023_000, "CW");
        heard("ZP5QXB", 14_074_000, "FT8");
        heard("ZP5QXC", 21_020_000, "CW");
        JsonNode news = ranked(null);
        assertThat(calls(news))
                .as("a new zone, three points, one point; not the dupe, other modes and bands")
                .containsExactly("ZP5QXA", "W2QAB", "DL2QAB");
        assertThat(news.path("onAir").asInt()).isEqualTo(6);
        JsonNode best = news.path("spots").path(0);
        // 4 points and 2 zones so far: 7 points times 3 zones is 13 more.
        assertThat(best.path("contest").path("rise").asInt()).isEqualTo(13);
        assertThat(best.path("contest").path("words").asString()).isEqualTo("zones +1 · 3 points");
        assertThat(news.path("spots").path(2).path("contest").path("words").asString())
                .isEqualTo("1 point");
        assertThat(look(ALL, null).path("spots"))
                .as("without a contest all are shown")
                .hasSize(6);
    }

    @Test
    void whoIsWorkedIsStruckOffAtOnceAndItsZoneCountsNoMore() throws Exception {
        log("dl1qaa", "14");
        heard("ZP5QXA", 14_022_000, "CW");
        heard("ZP5QXB", 14_024_000, "CW");
        JsonNode before = ranked(null);
        assertThat(calls(before)).containsExactlyInAnyOrder("ZP5QXA", "ZP5QXB");
        log("zp5qxa", "11");
        JsonNode after = ranked(before.path("mark").asString());
        assertThat(after.path("whole").asBoolean()).isTrue();
        assertThat(calls(after)).containsExactly("ZP5QXB");
        assertThat(after.path("spots").path(0).path("contest").path("words").asString())
                .isEqualTo("3 points");
        heard("ZP5QXA", 14_022_000, "CW");
        assertThat(calls(ranked(after.path("mark").asString())))
                .as("still on the air, still worked")
                .doesNotContain("ZP5QXA");
    }

    @Test
    void aBookThatIsGoneIsSaid() throws Exception {
        bookId += 1;
        assertThat(sendJson("POST", "/api/onair/look", Map.of("filter", ALL, "contestBook", bookId))
                        .statusCode())
                .isEqualTo(404);
    }
}
