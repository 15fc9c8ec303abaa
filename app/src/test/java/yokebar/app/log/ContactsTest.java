package yokebar.app.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class ContactsTest extends AppTest {

    @Test
    void pagesGoOnFromAKeyAndMissNothing() throws Exception {
        StringBuilder file = new StringBuilder();
        for (int i = 0; i < 250; i++) {
            // many contacts share a minute, so that the key needs both its parts
            file.append(contact("OZ1Q" + (char) ('A' + i / 26) + (char) ('A' + i % 26)));
        }
        importText(file.toString());
        List<Long> seen = new ArrayList<>();
        String below = "";
        do {
            JsonNode page = get("/api/contacts?limit=40" + below);
            page.path("lines").forEach(line -> seen.add(line.path("id").asLong()));
            below = page.has("next") ? "&below=" + page.path("next").asString() : null;
        } while (below != null);
        assertThat(seen).hasSize(250).doesNotHaveDuplicates().isSortedAccordingTo((a, b) -> Long.compare(b, a));
    }

    @Test
    void searchesByTheStartOfACall() throws Exception {
        importText(contact("ZP5QXA") + contact("ZP5QXB") + contact("OZ1QAB"));
        assertThat(get("/api/contacts?call=zp5").path("lines")).hasSize(2);
        assertThat(text("/api/contacts.adi?call=oz")).contains("OZ1QAB").doesNotContain("ZP5");
    }

    @Test
    void anEditIsStoredToldAndStaysWhenTheProgramRepeatsItself() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        long id = jdbc.queryForObject("select id from contact", Long.class);
        JsonNode edited = JSON.readTree(
                edit(id, 0, Map.of("NAME", "Anna", "QTH", "Luque")).body());
        assertThat(edited.path("fields").path("NAME").asString()).isEqualTo("Anna");
        JsonNode last = edited.path("journey").get(edited.path("journey").size() - 1);
        assertThat(last.path("kind").asString()).isEqualTo("EDITED");
        assertThat(last.path("sentence").asString()).isEqualTo("Edited: NAME Ana → Anna; QTH set to Luque.");
        sendDatagram(contact("ZP5QXA", "name", "Ana", "qth", "Asuncion"));
        await("the repeat", () -> count("intake_journal") == 2);
        assertThat(wholeLog()).contains("Anna").contains("Luque");
    }

    @Test
    void anEditOfAnOldVersionIsRefused() throws Exception {
        importText(contact("ZP5QXA"));
        long id = jdbc.queryForObject("select id from contact", Long.class);
        assertThat(edit(id, 0, Map.of("NAME", "Ana")).statusCode()).isEqualTo(200);
        HttpResponse<String> second = edit(id, 0, Map.of("NAME", "Anja"));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body()).contains("changed meanwhile");
    }

    @Test
    void aBadValueIsToldAtItsField() throws Exception {
        importText(contact("ZP5QXA"));
        long id = jdbc.queryForObject("select id from contact", Long.class);
        HttpResponse<String> answer = edit(id, 0, Map.of("FREQ", "27.5", "TIME_ON", "noon"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(JSON.readTree(answer.body()).path("fields"))
                .extracting(f -> f.path("field").asString())
                .containsExactly("TIME_ON", "FREQ");
    }

    @Test
    void aStartInTheFutureIsRefused() throws Exception {
        importText(contact("ZP5QXA"));
        long id = jdbc.queryForObject("select id from contact", Long.class);
        HttpResponse<String> answer = edit(id, 0, Map.of("QSO_DATE", "20990101"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("ZP5QXA would start in the future, on 2099-01-01")
                .contains("QSO_DATE");
        assertThat(edit(id, 0, Map.of("QSO_DATE", "20250101")).statusCode()).isEqualTo(200);
    }

    @Test
    void valuesTooLongForAColumnAreKept() throws Exception {
        String name = "N".repeat(300);
        importText(contact("ZP5QXA", "name", name, "cqz", "011", "gridsquare", "GG14ab12cd34"));
        assertThat(wholeLog())
                .contains("<NAME:300>" + name)
                .contains("<CQZ:3>011")
                .contains("<GRIDSQUARE:12>GG14ab12cd34");
    }

    @Test
    void whatIsNotThereIsNotFound() throws Exception {
        assertThat(send(request("/api/contacts/123456").GET()).statusCode()).isEqualTo(404);
        assertThat(send(request("/api/contacts?below=x").GET()).statusCode()).isEqualTo(422);
    }

    @Test
    void anEditOfManyThatNoneCanTakeIsRefused() throws Exception {
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        HttpResponse<String> answer = sendJson(
                "POST",
                "/api/changes/edit",
                Map.of("selection", Map.of("search", ""), "changes", Map.of("BAND", "19m")));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("19m");
        assertThat(get("/api/changes")).isEmpty();
    }

    @Test
    void entityAndZonesFollowACorrectedCall() throws Exception {
        importText(contact("W1QAB").replace("<eor>", record("dxcc", "291", "cont", "NA", "cqz", "5")));
        HttpResponse<String> answer = sendJson(
                "POST",
                "/api/changes/edit",
                Map.of("selection", Map.of("search", ""), "changes", Map.of("CALL", "DL1QAB")));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        await("the change", () -> jdbc.queryForObject("select call_sign from contact", String.class)
                .equals("DL1QAB"));
        assertThat(jdbc.queryForMap("select cq_zone, entity_code from contact"))
                .containsEntry("CQ_ZONE", 14)
                .containsEntry("ENTITY_CODE", 230);
    }

    private HttpResponse<String> edit(long id, int version, Map<String, String> changes) throws Exception {
        return sendJson("PATCH", "/api/contacts/" + id, Map.of("version", version, "changes", changes));
    }

    @Test
    void allThatASearchFindsIsChosenButSome() throws Exception {
        importText(contact("ZP5QXA") + contact("ZP5QXB") + contact("ZP5QXC") + contact("OZ1QAB"));
        await("the index", () -> ids("ZP5").size() == 3);
        long kept = ids("ZP5QXB").get(0);
        changed(sendJson("POST", "/api/changes/delete", Map.of("search", "ZP5", "except", List.of(kept))));
        assertThat(jdbc.queryForList("select call_sign from contact order by call_sign", String.class))
                .containsExactly("OZ1QAB", "ZP5QXB");
        assertThat(sendJson("POST", "/api/changes/delete", Map.of()).body())
                .as("nothing is not everything")
                .contains("No contact is chosen.");
        assertThat(sendJson("POST", "/api/changes/delete", Map.of("search", "ZP5", "except", List.of(kept)))
                        .body())
                .contains("No contact is chosen.");
        assertThat(count("contact")).isEqualTo(2);
    }

    private List<Long> ids(String search) {
        try {
            return get("/api/log/ids?search=" + search)
                    .valueStream()
                    .map(JsonNode::asLong)
                    .toList();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }
}
