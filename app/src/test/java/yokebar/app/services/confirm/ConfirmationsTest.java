package yokebar.app.services.confirm;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.services.delivery.ServiceTest;

/** What comes back: cards, near misses, and confirmations that wait for their contact. */
class ConfirmationsTest extends ServiceTest {
    @Test
    void cardsComeBackWithTheirPicturesAndWhatIsMissingIsSaidFirst() throws Exception {
        usePostbag();
        importText(contact("ZP5QXA") + contact("OZ1QAB", "rst_sent", "-07"));
        awaitState("OZ1QAB", POSTBAG, "ACCEPTED");
        awaitState("ZP5QXA", POSTBAG, "HELD");
        JsonNode held = get("/api/services/3/outlook").path("held").get(0);
        assertThat(held.path("reason").asString()).isEqualTo("Postbag needs the report sent, and it is empty.");
        assertThat(held.path("field").asString()).isEqualTo("RST_SENT");
        String ids = get("/api/services/3/held?key="
                        + held.path("key").asString().replace(" ", "%20"))
                .toString();
        assertThat(ids).isEqualTo("[" + idOf("ZP5QXA") + "]");
        changed(sendJson(
                "POST",
                "/api/changes/edit",
                Map.of(
                        "selection", Map.of("ids", List.of(idOf("ZP5QXA"))),
                        "changes", Map.of("RST_SENT", "-10"))));
        awaitState("ZP5QXA", POSTBAG, "ACCEPTED");

        postbag.send(theirs("OZ1QAB", "140900"), Instant.now());
        sendJson("POST", "/api/services/3/fetches", Map.of());
        awaitState("OZ1QAB", POSTBAG, "CONFIRMED");
        JsonNode card = get("/api/services/3/confirmations?picturesOnly=true").get(0);
        assertThat(card.path("remark").asString()).contains("73");
        assertThat(card.path("brings").asString()).contains("a new entity");
        HttpResponse<byte[]> picture = http().send(
                        request("/api/confirmations/" + card.path("id").asLong() + "/picture")
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(picture.headers().firstValue("Content-Type")).contains("image/png");
        postbag.setUp(false);
        assertThat(send(request("/api/confirmations/" + card.path("id").asLong() + "/picture"))
                        .statusCode())
                .as("kept here")
                .isEqualTo(200);
    }

    @Test
    void aNearMissIsCorrectedAndTheCorrectionTakenBack() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        countersign.confirm(theirs("ZP5QXB", "140700"), Instant.now());
        countersign.confirm(theirs("OZ1QAB", "160700"), Instant.now());
        countersign.confirm(theirs("LU1QZZ", "160700"), Instant.now());
        await("news", () -> fetched() == 3);
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(3);
        JsonNode misses = get("/api/services/1/near-misses");
        JsonNode call = miss(misses, "ZP5QXB").path("guesses").get(0);
        assertThat(call.path("differences").toString()).isEqualTo("[\"CALL\"]");
        assertThat(miss(misses, "OZ1QAB")
                        .path("guesses")
                        .get(0)
                        .path("differences")
                        .toString())
                .isEqualTo("[\"HOURS\"]");
        assertThat(miss(misses, "LU1QZZ").path("guesses")).isEmpty();

        edit("ZP5QXA", Map.of("CALL", call.path("correction").path("CALL").asString()));
        assertThat(state("ZP5QXB", COUNTERSIGN)).isEqualTo("CONFIRMED");
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(2);
        long change = get("/api/changes").get(0).path("id").asLong();
        changed(sendJson("POST", "/api/changes/" + change + "/undo", Map.of()));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isNotEqualTo("CONFIRMED");
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(3);

        sendJson(
                "PUT", "/api/confirmations/" + miss(misses, "LU1QZZ").path("id").asLong(), Map.of("aside", true));
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(2);
    }

    @Test
    void whatIsConfirmedAsItStandsIsNoLikelyMiss() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        countersign.confirm(theirs("ZP5QXA", "140700"), Instant.now());
        await("its confirmation", () -> fetched() == 1);
        countersign.confirm(theirs("OZ1QAB", "160700"), Instant.now());
        countersign.confirm(theirs("ZP5QXA", "160700"), Instant.now());
        await("both misses", () -> fetched() == 3);
        JsonNode misses = get("/api/services/1/near-misses");
        assertThat(misses.get(0).path("call").asString()).as("the likelier one").isEqualTo("OZ1QAB");
        assertThat(misses.get(0).path("guesses").get(0).path("confirmed").asBoolean())
                .isFalse();
        assertThat(misses.get(1).path("guesses").get(0).path("confirmed").asBoolean())
                .isTrue();
    }

    @Test
    void whatComesTogetherBringsEachFirstOnce() throws Exception {
        importText(contact("ZP5QXA", "gridsquare", "GG14")
                + contact("ZP6QXB", "gridsquare", "GG14")
                + contact("ZP7QXC", "gridsquare", "GG25", "band", "40m").replace("14.074", "7.0740"));
        await("the log to be searched", () -> found("ZP") == 3);
        Map<String, String> onForty = new HashMap<>(theirs("ZP7QXC", "140700"));
        onForty.put("BAND", "40m");
        countersign.confirm(theirs("ZP5QXA", "140700"), Instant.now());
        countersign.confirm(theirs("ZP6QXB", "140700"), Instant.now());
        countersign.confirm(onForty, Instant.now());
        // Only now is anything fetched, so that all of it comes together.
        useCountersign();
        await("all", () -> fetched() == 3);
        assertThat(brought("ZP5QXA")).startsWith("a new entity, Paraguay").contains("square GG14");
        assertThat(brought("ZP6QXB")).isNull();
        assertThat(brought("ZP7QXC")).isEqualTo("Paraguay on 40m, square GG25");
    }

    private int found(String search) {
        try {
            return get("/api/log/ids?search=" + search).size();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private String brought(String call) {
        return jdbc.queryForObject("select brings from confirmation where call_sign = ?", String.class, call);
    }

    @Test
    void anAcceptedContactCorrectedByANearMissGoesAgainBeforeItIsConfirmed() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        countersign.confirm(theirs("ZP5QXB", "140700"), Instant.now());
        await("the confirmation", () -> fetched() == 1);
        edit("ZP5QXA", Map.of("CALL", "ZP5QXB"));
        assertThat(state("ZP5QXB", COUNTERSIGN)).isEqualTo("CHANGED");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXB", COUNTERSIGN, "CONFIRMED");
        assertThat(countersign.books().toString()).contains("CU9QYB ZP5QXB");
    }

    private Timestamp fetchedUntil() {
        return jdbc.queryForObject("select confirmations_until from service where id = 1", Timestamp.class);
    }

    private int fetched() {
        try {
            sendJson("POST", "/api/services/1/fetches", Map.of());
            return count("confirmation");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static JsonNode miss(JsonNode misses, String call) {
        for (JsonNode one : misses) {
            if (one.path("call").asString().equals(call)) {
                return one;
            }
        }
        throw new AssertionError("no " + call);
    }

    @Test
    void aConfirmationThatCameBeforeItsContactFindsItLater() throws Exception {
        useCountersign();
        // The log is empty still, so the first fetch has no past to ask for.
        await("the first fetch", () -> fetched() == 0 && fetchedUntil() != null);
        countersign.confirm(theirs("ZP5QXA", "140700"), Instant.parse("2019-05-01T00:00:00Z"));
        countersign.confirm(theirs("OZ1QAB", "140700"), Instant.now());
        importText(contact("LU1QZZ").replace("20260501", "20180501"));
        await("old and new ones", () -> fetched() == 2);
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(2);
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("CONFIRMED");
        assertThat(state("OZ1QAB", COUNTERSIGN)).isEqualTo("CONFIRMED");
    }
}
