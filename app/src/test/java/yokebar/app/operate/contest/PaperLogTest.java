package yokebar.app.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Contacts from paper with their own times and serials, notes, and corrections from the line. */
class PaperLogTest extends ContestTest {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmm").withZone(ZoneOffset.UTC);
    private static final Instant FIRST = START.plusSeconds(600);

    private HttpResponse<String> fromPaper(String to, String text, Instant before) throws Exception {
        return sendJson(
                "POST",
                path("/line/" + to),
                Map.of(
                        "text",
                        text,
                        "frequency",
                        "7025",
                        "mode",
                        "CW",
                        "agoMs",
                        0,
                        "key",
                        text,
                        "before",
                        before.toString()));
    }

    private HttpResponse<String> correct(long contactId, String text) throws Exception {
        return sendJson("POST", path("/line/contacts/" + contactId), Map.of("text", text, "agoMs", 0));
    }

    private Map<String, Object> row(long contactId) {
        return jdbc.queryForMap("select * from contact where id = ?", contactId);
    }

    private JsonNode shown(long contactId) throws Exception {
        for (JsonNode one : get(path("/contacts"))) {
            if (one.path("contactId").asLong() == contactId) {
                return one;
            }
        }
        throw new AssertionError("not in the book: " + contactId);
    }

    @Test
    void contactsFromPaperHaveTheirOwnTimesFrequencyAndSerials() throws Exception {
        JsonNode read = ok(fromPaper("read", TIME.format(FIRST) + " w1qab #41 12 5", START));
        assertThat(read.path("at").asString()).isEqualTo(FIRST.toString());
        assertThat(read.path("send").asString()).isEqualTo("599 41 14");
        assertThat(read.path("fromRadio").asBoolean()).isFalse();
        assertThat(read.path("missing")).isEmpty();
        assertThat(count("contact")).isZero();

        JsonNode first = ok(fromPaper("log", TIME.format(FIRST) + " w1qab #41 12 5", START));
        assertThat(first.path("at").asString()).isEqualTo(FIRST.toString());
        Instant second = FIRST.plusSeconds(120);
        JsonNode other = ok(fromPaper("log", TIME.format(second).substring(2) + " dl1qab 9 14", FIRST));
        assertThat(other.path("at").asString()).isEqualTo(second.toString());
        JsonNode same = ok(fromPaper("log", "dl2qab 3 14", second));
        assertThat(Instant.parse(same.path("at").asString())).isEqualTo(second);

        assertThat(shown(first.path("contactId").asLong()).path("band").asString())
                .isEqualTo("40m");
        assertThat(shown(same.path("contactId").asLong()).path("start").asString())
                .isEqualTo(second.toString());
        assertThat(get(path("/score")).path("contacts").asInt()).isEqualTo(3);
        String cabrillo = text(path("/cabrillo"));
        assertThat(cabrillo).containsPattern("CU9QYB +599 0*41 ").containsPattern("CU9QYB +599 0*42 ");
    }

    @Test
    void aSerialThatWasSentAlreadyIsAskedAbout() throws Exception {
        log("w1qab 12 5");
        assertThat(ok(fromPaper("read", TIME.format(FIRST) + " dl1qab #1 9 14", START))
                        .path("questions"))
                .extracting(JsonNode::asString)
                .containsExactly("Serial 1 was sent to W1QAB already.");
    }

    @Test
    void aTimeThatIsNoneOrStillToComeStopsTheLine() throws Exception {
        assertThat(fromPaper("log", "2475 w1qab 12 5", START).body()).contains("\\\"2475\\\" is no time");
        HttpResponse<String> answer =
                fromPaper("log", "w1qab 12 5", Instant.now().plusSeconds(7200));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("is still to come; correct the time, or the day.");
        assertThat(count("contact")).isZero();
    }

    @Test
    void aDayInWhichNobodyLoggedIsRefused() throws Exception {
        for (Instant day : List.of(Instant.MAX, Instant.MIN, Instant.parse("1899-12-31T00:00:00Z"))) {
            HttpResponse<String> answer = fromPaper("read", "1432 w1qab 12 5", day);
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(422);
            assertThat(answer.body()).contains("No contact was made then");
        }
    }

    @Test
    void theSameLineAgainIsOneContact() throws Exception {
        String line = TIME.format(FIRST) + " w1qab 12 5";
        long id = ok(fromPaper("log", line, START)).path("contactId").asLong();
        JsonNode again = ok(fromPaper("log", line, START));
        assertThat(again.path("contactId").asLong()).isEqualTo(id);
        assertThat(again.path("at").asString()).isEqualTo(FIRST.toString());
        assertThat(count("contact")).isEqualTo(1);
    }

    @Test
    void aNoteIsTheCommentOfTheContact() throws Exception {
        long id = log("w1qab 12 5; asks for a card").path("contactId").asLong();
        assertThat(get("/api/contacts/" + id).toString()).contains("asks for a card");
        assertThat(shown(id).path("received").asString()).isEqualTo("599 12 5");
    }

    @Test
    void aContactIsCorrectedFromTheLineWithAllThatFollowsFromItsCall() throws Exception {
        long id = log("w1qab 12 5").path("contactId").asLong();
        assertThat(score().path("points").asInt()).isEqualTo(3);
        ok(correct(id, "dl1qab 13 14; was misheard"));
        JsonNode after = shown(id);
        assertThat(after.path("call").asString()).isEqualTo("DL1QAB");
        assertThat(after.path("received").asString()).isEqualTo("599 13 14");
        assertThat(score().path("points").asInt()).isEqualTo(1);
        assertThat(row(id)).containsEntry("CQ_ZONE", 14);
        assertThat(get("/api/contacts/" + id).toString())
                .contains("was misheard")
                .contains("Germany");
        assertThat(text(path("/cabrillo"))).containsPattern("CU9QYB +599 0*1 ");
    }

    @Test
    void theTimeOfAContactIsCorrectedFromTheLineToo() throws Exception {
        long id = log("w1qab 12 5").path("contactId").asLong();
        Instant earlier = Instant.parse(shown(id).path("start").asString()).minusSeconds(1800);
        ok(correct(id, TIME.format(earlier) + " w1qab 12 5"));
        assertThat(TIME.format(Instant.parse(shown(id).path("start").asString())))
                .isEqualTo(TIME.format(earlier));
    }

    @Test
    void aCorrectionThatSaysTooLittleChangesNothing() throws Exception {
        long id = log("w1qab 12 5").path("contactId").asLong();
        Map<String, String> wrong = new HashMap<>();
        wrong.put("dl1qab 13", "Still missing: zone.");
        wrong.put("13 14", "Type a call and the exchange.");
        wrong.put("dl1qab 13 14 abc", "fits no part of the exchange");
        wrong.put("dl1qab #9 13 14", "What was sent is corrected in the log");
        for (Map.Entry<String, String> one : wrong.entrySet()) {
            HttpResponse<String> answer = correct(id, one.getKey());
            assertThat(answer.statusCode()).as(one.getKey()).isEqualTo(422);
            assertThat(answer.body()).contains(one.getValue());
        }
        assertThat(correct(id + 1000, "dl1qab 13 14").statusCode()).isEqualTo(404);
        assertThat(shown(id).path("call").asString()).isEqualTo("W1QAB");
    }
}
