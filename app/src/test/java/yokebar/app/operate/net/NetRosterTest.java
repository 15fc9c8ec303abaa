package yokebar.app.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who belongs to a net, and the words of its sheet. */
class NetRosterTest extends NetSessionTest {
    private JsonNode roster() throws Exception {
        return get("/api/nets/" + netId + "/roster");
    }

    private HttpResponse<String> put(String call, String name) throws Exception {
        return sendJson("POST", "/api/nets/" + netId + "/roster", Map.of("call", call, "name", name));
    }

    @Test
    void thoseWhoComeOftenStandFirst() throws Exception {
        enter("cu2qyc zp5qxa qlz");
        ok(sendJson("POST", path("/close"), Map.of()));
        sessionId = start(netId);
        enter("zp5qxa");
        JsonNode roster = roster();
        assertThat(roster.path("sessions")).hasSize(2);
        JsonNode often = roster.path("stations").path(0);
        assertThat(often.path("call").asString()).isEqualTo("ZP5QXA");
        assertThat(often.path("times").asInt()).isEqualTo(2);
        JsonNode once = roster.path("stations").path(1);
        assertThat(once.path("present").toString()).as("the latest first").isEqualTo("[false,true]");
        assertThat(roster.path("stations")).hasSize(2);
    }

    @Test
    void aStationIsAddedNamedAndTakenOffUntilItChecksInAgain() throws Exception {
        ok(put("zp5qxa", "Ana"));
        ok(put("zp5qxa", "Ana Maria"));
        assertThat(roster().path("stations")).hasSize(1);
        assertThat(row(enter("zp5qxa").path("sheet"), "ZP5QXA").path("name").asString())
                .isEqualTo("Ana Maria");
        ok(sendJson("POST", path("/close"), Map.of()));
        sessionId = start(netId);
        ok(sendJson("DELETE", "/api/nets/" + netId + "/roster?call=ZP5QXA", Map.of()));
        assertThat(roster().path("stations")).isEmpty();
        assertThat(sessionsOf("qxa")).as("known from the log only").isZero();
        enter("zp5qxa");
        assertThat(roster().path("stations").path(0).path("name").asString()).isEqualTo("Ana Maria");
    }

    @Test
    void aCallThatIsCorrectedInAnEarlierSessionIsFoundAtOnce() throws Exception {
        long checkIn = row(enter("zp5qxa").path("sheet"), "ZP5QXA").path("id").asLong();
        String earlier = path("/check-ins/" + checkIn);
        ok(sendJson("POST", path("/close"), Map.of()));
        sessionId = start(netId);
        assertThat(sessionsOf("qxa")).isEqualTo(1);
        ok(sendJson("PUT", earlier, Map.of("call", "ZP5QXB")));
        assertThat(sessionsOf("qxb")).isEqualTo(1);
        assertThat(sessionsOf("qxa")).as("not on the roster any more").isZero();
    }

    /** In how many sessions the best candidate was; 0 when it was in none, or when there is no candidate. */
    private int sessionsOf(String part) throws Exception {
        JsonNode read = ok(sendJson("POST", path("/read"), Map.of("text", part)));
        return read.at("/parts/0/candidates/0/sessions").asInt(0);
    }

    @Test
    void whatCannotBeOnARosterIsRefusedAtItsField() throws Exception {
        assertThat(put("qlz", "").body()).contains("\\\"qlz\\\" is not a whole call.");
        assertThat(put("zp5qxa", "x".repeat(81)).body()).contains("A name has at most 80 characters.");
        assertThat(sendJson("DELETE", "/api/nets/" + netId + "/roster?call=qlz", Map.of())
                        .body())
                .contains("is not a whole call.");
        assertThat(sendJson("POST", "/api/nets/999999/roster", Map.of("call", "zp5qxa"))
                        .statusCode())
                .isEqualTo(404);
    }

    private HttpResponse<String> words(Map<String, String> words) throws Exception {
        return sendJson("PUT", "/api/nets/words", words);
    }

    @Test
    void marksHaveTheWordsTheOperatorChose() throws Exception {
        ok(words(Map.of("traffic", "recado", "early", "")));
        JsonNode sheet = enter("zp5qxa recado early").path("sheet");
        assertThat(row(sheet, "ZP5QXA").path("marks").toString()).isEqualTo("[\"TRAFFIC\",\"EARLY\"]");
        assertThat(sheet.path("words").path("traffic").asString()).isEqualTo("recado");
        assertThat(text(path("/report.txt"))).contains("recado, early, first time");
        assertThat(words(Map.of("traffic", "via")).body()).contains("means something else on the line");
        assertThat(words(Map.of("traffic", "early")).body()).contains("stands for another mark already");
        assertThat(get("/api/nets/words").path("traffic").asString())
                .as("a refused change changes nothing")
                .isEqualTo("recado");
    }
}
