package yokebar.app.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class LogAtLengthTest extends AppTest {

    private void threeStations() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana", "gridsquare", "GG14")
                + contact("K1QAB", "name", "Bo", "iota", "NA-148")
                + contact("OZ1QAC", "name", "Carla", "comment", "heard Ana"));
    }

    private List<String> calls(String query) throws Exception {
        List<String> calls = new ArrayList<>();
        get("/api/log/rows?" + query)
                .path("lines")
                .forEach(line -> calls.add(line.path("call").asString()));
        return calls;
    }

    private int found(String search) throws Exception {
        return get("/api/log/rows?limit=0&search=" + search).path("found").asInt();
    }

    private HttpResponse<String> edit(String search, String field, String value) throws Exception {
        return sendJson(
                "POST",
                "/api/changes/edit",
                Map.of("selection", Map.of("search", search), "changes", Map.of(field, value)));
    }

    @Test
    void whatWasJustLoggedIsFoundByAnyOfItsFields() throws Exception {
        threeStations();
        assertThat(calls("search=ana")).containsExactlyInAnyOrder("ZP5QXA", "OZ1QAC");
        assertThat(calls("search=name:ana")).containsExactly("ZP5QXA");
        assertThat(calls("search=iota:na-148")).containsExactly("K1QAB");
        assertThat(calls("search=entity:paraguay")).containsExactly("ZP5QXA");
        assertThat(calls("sort=CALL&descending=false")).containsExactly("K1QAB", "OZ1QAC", "ZP5QXA");
        assertThat(calls("sort=CALL&descending=false&from=1&limit=1")).containsExactly("OZ1QAC");
        JsonNode row =
                get("/api/log/rows?search=k1qab&columns=IOTA").path("lines").get(0);
        assertThat(row.path("more").path("IOTA").asString()).isEqualTo("NA-148");
    }

    @Test
    void facetsCountWhatWasFoundWithTheirOwnChoiceOpen() throws Exception {
        threeStations();
        JsonNode facets = get("/api/log/facets?search=continent:eu").path("facets");
        JsonNode continents = facets.valueStream()
                .filter(facet -> facet.path("field").asString().equals("CONT"))
                .findFirst()
                .orElseThrow();
        assertThat(continents.path("values")).hasSize(3);
        JsonNode entities = facets.valueStream()
                .filter(facet -> facet.path("field").asString().equals("COUNTRY"))
                .findFirst()
                .orElseThrow();
        assertThat(entities.path("values")).hasSize(1);
    }

    @Test
    void aBulkEditIsShownBeforeAndTakenBackFieldByField() throws Exception {
        threeStations();
        JsonNode preview = JSON.readTree(sendJson(
                        "POST",
                        "/api/changes/preview",
                        Map.of("selection", Map.of("search", ""), "changes", Map.of("NAME", "Ana")))
                .body());
        assertThat(preview.path("chosen").asInt()).isEqualTo(3);
        assertThat(preview.path("different").asInt()).isEqualTo(2);
        JsonNode change = changed(edit("", "PROP_MODE", "RPT"));
        assertThat(change.path("done").asInt()).isEqualTo(3);
        assertThat(found("via:rpt")).isEqualTo(3);
        // One of them is changed again; taking the first change back leaves that.
        changed(edit("k1qab", "PROP_MODE", "ES"));
        JsonNode undone = changed(sendJson("POST", "/api/changes/" + change.path("id") + "/undo", Map.of()));
        assertThat(undone.path("done").asInt()).isEqualTo(2);
        assertThat(found("via:none")).isEqualTo(2);
        assertThat(found("via:es")).isEqualTo(1);
        HttpResponse<String> again = sendJson("POST", "/api/changes/" + change.path("id") + "/undo", Map.of());
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("That was undone already.");
        // And done again.
        changed(sendJson("POST", "/api/changes/" + undone.path("id") + "/undo", Map.of()));
        assertThat(found("via:rpt")).isEqualTo(2);
    }

    @Test
    void anEditThatSomeContactsCannotTakeGoesThroughForTheRest() throws Exception {
        importText(contact("ZP5QXA") + contact("K1QAB").replace("14.074", "7.074"));
        JsonNode preview = JSON.readTree(sendJson(
                        "POST",
                        "/api/changes/preview",
                        Map.of("selection", Map.of("search", ""), "changes", Map.of("MODE", "nonsense")))
                .body());
        assertThat(preview.path("impossible").asInt()).isEqualTo(2);
        assertThat(preview.path("problems").get(0).path("what").asString()).contains("nonsense");
        assertThat(edit("", "MODE", "nonsense").body()).contains("is not a mode of the ADIF list");
    }

    @Test
    void deletedContactsLeaveEverythingAndComeBackWithWhereTheyStood() throws Exception {
        threeStations();
        JsonNode services = get("/api/services");
        JsonNode change = changed(sendJson("POST", "/api/changes/delete", Map.of("search", "ana")));
        assertThat(change.path("done").asInt()).isEqualTo(2);
        assertThat(count("contact")).isEqualTo(1);
        assertThat(count("delivery")).isEqualTo(1);
        assertThat(get("/api/contacts").path("total").asInt()).isEqualTo(1);
        assertThat(found("")).isEqualTo(1);
        changed(sendJson("POST", "/api/changes/" + change.path("id") + "/undo", Map.of()));
        assertThat(count("contact")).isEqualTo(3);
        assertThat(count("delivery")).isEqualTo(3);
        assertThat(found("ana")).isEqualTo(2);
        assertThat(get("/api/contacts").path("total").asInt()).isEqualTo(3);
        assertThat(get("/api/services")).isEqualTo(services);
    }

    @Test
    void aSecondRecordMergedIntoAContactCanBeTakenBack() throws Exception {
        importText(contact("ZP5QXA"));
        importText(contact("ZP5QXA", "name", "Ana", "qth", "Luque"));
        assertThat(found("name:ana")).isEqualTo(1);
        JsonNode change = get("/api/changes").get(0);
        assertThat(change.path("kind").asString()).isEqualTo("MERGED");
        changed(sendJson("POST", "/api/changes/" + change.path("id") + "/undo", Map.of()));
        assertThat(found("name:none%20qth:none")).isEqualTo(1);
    }

    @Test
    void whoEditsWhatAnotherChangedMeanwhileIsTold() throws Exception {
        threeStations();
        long id = get("/api/log/ids?search=zp5qxa").get(0).asLong();
        changed(edit("zp5qxa", "NAME", "Anna"));
        HttpResponse<String> late =
                sendJson("PATCH", "/api/contacts/" + id, Map.of("version", 0, "changes", Map.of("NAME", "Anja")));
        assertThat(late.statusCode()).isEqualTo(409);
    }

    @Test
    void viewsAreKeptUnderTheirNames() throws Exception {
        Map<String, Object> view = Map.of(
                "name",
                "Japan on 40 m",
                "search",
                "entity:japan 40m",
                "sort",
                "CALL",
                "descending",
                false,
                "columns",
                List.of("CALL", "IOTA"));
        assertThat(put("/api/log/views", view)).hasSize(1);
        assertThat(put("/api/log/views", view)).hasSize(1);
        JsonNode kept = get("/api/log/views").get(0);
        assertThat(kept.path("search").asString()).isEqualTo("entity:japan 40m");
        assertThat(kept.path("columns")).hasSize(2);
        assertThat(send(request("/api/log/views/Japan%20on%2040%20m").DELETE()).body())
                .isEqualTo("[]");
    }

    @Test
    void exportsGiveWhatWasFoundInItsOrder() throws Exception {
        threeStations();
        String csv = text("/api/contacts.csv?search=-oz1qac&sort=CALL&descending=false&columns=CALL,NAME,IOTA");
        assertThat(csv.lines()).containsExactly("CALL,NAME,IOTA", "K1QAB,Bo,NA-148", "ZP5QXA,Ana,");
        assertThat(text("/api/contacts.adx?search=zp5qxa"))
                .contains("<CALL>ZP5QXA</CALL>")
                .doesNotContain("K1QAB");
        assertThat(text("/api/contacts.adi?search=name:bo")).contains("K1QAB").doesNotContain("ZP5QXA");
        assertThat(text("/api/log/print?search=name:bo&columns=CALL")).contains("<td>K1QAB</td>");
    }

    @Test
    void statisticsCountWhatWasFound() throws Exception {
        threeStations();
        JsonNode figures = get("/api/log/statistics?search=-k1qab");
        assertThat(figures.path("found").asInt()).isEqualTo(2);
        assertThat(figures.path("byHour").get(14).asInt()).isEqualTo(2);
        assertThat(figures.path("byMonth").get(0).path("value").asString()).isEqualTo("2026-05");
        assertThat(figures.path("squares").get(0).path("value").asString()).isEqualTo("GG14");
    }

    @Test
    void aChangeUnderWayCanBeCancelledAndWhatIsDoneTakenBack() throws Exception {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 6000; i++) {
            many.append(contact("K" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260)));
        }
        importText(many.toString());
        HttpResponse<String> begun = edit("", "PROP_MODE", "ES");
        long id = JSON.readTree(begun.body()).path("id").asLong();
        sendJson("POST", "/api/changes/" + id + "/cancel", Map.of());
        JsonNode stopped = changed(begun);
        assertThat(stopped.path("state").asString()).isEqualTo("STOPPED");
        assertThat(stopped.path("done").asInt()).isLessThan(6000).isEqualTo(found("via:es"));
    }

    @Test
    void aContactKeepsItsHistoryThroughSeveralChanges() throws Exception {
        threeStations();
        JsonNode first = changed(edit("zp5qxa", "NAME", "Anna"));
        JsonNode second = changed(edit("zp5qxa", "NAME", "Annika"));
        changed(sendJson("POST", "/api/changes/" + second.path("id") + "/undo", Map.of()));
        assertThat(found("name:anna")).isEqualTo(1);
        changed(sendJson("POST", "/api/changes/" + first.path("id") + "/undo", Map.of()));
        long id = get("/api/log/ids?search=zp5qxa").get(0).asLong();
        JsonNode contact = get("/api/contacts/" + id);
        assertThat(contact.path("fields").path("NAME").asString()).isEqualTo("Ana");
        assertThat(contact.path("version").asInt()).isEqualTo(4);
        List<String> journey = new ArrayList<>();
        contact.path("journey")
                .forEach(step -> journey.add(step.path("sentence").asString()));
        assertThat(journey)
                .contains("Edited: NAME Ana → Anna.", "Edited: NAME Anna → Annika.", "Undone: NAME as before.");
    }

    @Test
    void deletedContactsAreDueNowhere() throws Exception {
        threeStations();
        assertThat(standing()).isEqualTo(3);
        changed(sendJson("POST", "/api/changes/delete", Map.of("search", "")));
        assertThat(standing()).isZero();
    }

    /** How many contacts stand in whatever state at Countersign. */
    private int standing() throws Exception {
        int all = 0;
        for (JsonNode contacts : get("/api/services").get(0).path("counts")) {
            all += contacts.asInt();
        }
        return all;
    }

    /** Taken back in the order they were made: what is left is what was there before both. */
    @Test
    void changesTakenBackOutOfOrderLeaveTheNewestValueThatStands() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        List<Long> ids = jdbc.queryForList("select id from contact", Long.class);
        List<Long> changes = new ArrayList<>();
        for (String name : new String[] {"Bia", "Carla"}) {
            changes.add(changed(sendJson(
                            "POST",
                            "/api/changes/edit",
                            Map.of("selection", Map.of("ids", ids), "changes", Map.of("NAME", name))))
                    .path("id")
                    .asLong());
        }
        changed(sendJson("POST", "/api/changes/" + changes.get(0) + "/undo", Map.of()));
        assertThat(wholeLog()).contains("Carla");
        changed(sendJson("POST", "/api/changes/" + changes.get(1) + "/undo", Map.of()));
        assertThat(wholeLog()).contains("Ana").doesNotContain("Bia");
    }
}
