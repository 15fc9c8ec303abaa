package yokebar.app.sources.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** Splitting, joining, sending through again, and why something is not in the log. */
class PartsTest extends AppTest {

    private long only() {
        return jdbc.queryForObject("select min(id) from contact", Long.class);
    }

    private HttpResponse<String> post(String path, Object body) throws Exception {
        HttpResponse<String> answer = sendJson("POST", path, body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return answer;
    }

    @Test
    void aWrongMergeIsSplitAndStaysSplit() throws Exception {
        String first = contact("ZP5QXA", "name", "Ana");
        String second = contact("ZP5QXA", "time_on", "140830", "qth", "Luque", "gridsquare", "GG14");
        importText(first);
        sendDatagram(second);
        await("the second", () -> count("intake_journal") == 2);
        assertThat(count("contact")).isEqualTo(1);
        List<Long> journal = jdbc.queryForList("select id from intake_journal order by id", Long.class);
        JsonNode outcome =
                JSON.readTree(post("/api/contacts/" + only() + "/split", Map.of("journalIds", List.of(journal.get(1))))
                        .body());
        assertThat(count("contact")).isEqualTo(2);
        String log = wholeLog();
        assertThat(log.lines().filter(line -> line.contains("ZP5QXA")))
                .anyMatch(line -> line.contains("Ana") && !line.contains("Luque") && line.contains("140700"))
                .anyMatch(line -> line.contains("Luque") && !line.contains("Ana") && line.contains("140830"));

        assertThat(importText(first + second).path("duplicates").asInt()).isEqualTo(2);
        assertThat(count("contact")).isEqualTo(2);

        changed(sendJson("POST", "/api/changes/" + outcome.path("changeId").asLong() + "/undo", Map.of()));
        assertThat(count("contact")).isEqualTo(1);
        assertThat(jdbc.queryForObject(
                        "select count(*) from intake_journal where contact_id = " + only(), Integer.class))
                .isEqualTo(4);
        assertThat(wholeLog()).contains("Ana").contains("Luque");
    }

    @Test
    void allRecordsOrNoneCannotBeSplitOff() throws Exception {
        importText(contact("ZP5QXA"));
        List<Long> journal = jdbc.queryForList("select id from intake_journal", Long.class);
        for (List<Long> ids : List.of(journal, List.<Long>of())) {
            HttpResponse<String> answer =
                    sendJson("POST", "/api/contacts/" + only() + "/split", Map.of("journalIds", ids));
            assertThat(answer.statusCode()).isEqualTo(422);
        }
    }

    @Test
    void aMissedMergeIsJoinedAndStaysJoined() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        String late = contact("ZP5QXA", "time_on", "144500", "qth", "Luque");
        importText(late);
        assertThat(count("contact")).isEqualTo(2);
        List<Long> ids = jdbc.queryForList("select id from contact order by id", Long.class);
        JsonNode outcome = JSON.readTree(post("/api/contacts/" + ids.get(0) + "/join", Map.of("contactId", ids.get(1)))
                .body());
        assertThat(count("contact")).isEqualTo(1);
        assertThat(wholeLog()).contains("Ana").contains("Luque").contains("140700");

        assertThat(importText(late).path("duplicates").asInt()).isEqualTo(1);
        assertThat(importText(contact("ZP5QXA", "time_on", "144530", "comment", "again"))
                        .path("merged")
                        .asInt())
                .isEqualTo(1);
        assertThat(count("contact")).isEqualTo(1);

        changed(sendJson("POST", "/api/changes/" + outcome.path("changeId").asLong() + "/undo", Map.of()));
        assertThat(count("contact")).isEqualTo(2);
        assertThat(count("also_known")).isZero();
    }

    @Test
    void aRefusedRecordPutRightGoesThrough() throws Exception {
        String raw = contact("ZP5QXA", "mode", "NOISE");
        importText(raw);
        JsonNode why = get("/api/journal/why?call=zp5qxa");
        assertThat(why.get(0).path("found").asString()).isEqualTo("NOT_TAKEN");
        assertThat(why.get(0).path("sentence").asString()).contains("NOISE");
        long id = why.get(0).path("journalId").asLong();
        JsonNode outcome =
                JSON.readTree(post("/api/journal/" + id + "/again", Map.of("raw", raw.replace("NOISE", "FT8  ")))
                        .body());
        assertThat(outcome.path("decision").asString()).isEqualTo("ADDED");
        assertThat(get("/api/journal/why?call=zp5qxa").get(0).path("found").asString())
                .isEqualTo("IN_THE_LOG");
        assertThat(count("set_aside")).isZero();
    }

    @Test
    void whyNotKnowsDeletedNearAndNeverArrived() throws Exception {
        importText(contact("ZP5QXA"));
        wholeLog();
        changed(sendJson("POST", "/api/changes/delete", Map.of("search", "")));
        JsonNode deleted = get("/api/journal/why?call=ZP5QXA&at=2026-05-01T14:00");
        assertThat(deleted.get(0).path("found").asString()).isEqualTo("DELETED");
        changed(sendJson(
                "POST", "/api/changes/" + deleted.get(0).path("changeId").asLong() + "/undo", Map.of()));
        await("the index", () -> {
            try {
                return get("/api/journal/why?call=ZP5QXB")
                        .get(0)
                        .path("found")
                        .asString()
                        .equals("NEAR");
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        JsonNode never = get("/api/journal/why?call=OZ1QAB");
        assertThat(never.get(never.size() - 1).path("found").asString()).isEqualTo("NEVER_CAME");
        assertThat(send(request("/api/journal/why?call=%3F%21").GET()).statusCode())
                .isEqualTo(422);
    }

    @Test
    void theJournalIsSearchedByCallSourceAndDecision() throws Exception {
        importText(contact("ZP5QXA") + contact("OZ1QAB", "mode", "NOISE") + contact("OZ1QCD"));
        assertThat(get("/api/journal?call=oz1qab")).hasSize(1);
        assertThat(get("/api/journal?call=ZP5QXA").get(0).path("decision").asString())
                .isEqualTo("ADDED");
        assertThat(get("/api/journal?source=import&decision=ADDED")).hasSize(2);
        assertThat(get("/api/journal?source=adif-datagrams")).isEmpty();
        assertThat(put("/api/journal/keeping", Map.of("repeatsDays", 30))
                        .path("repeatsDays")
                        .asInt())
                .isEqualTo(30);
    }
}
