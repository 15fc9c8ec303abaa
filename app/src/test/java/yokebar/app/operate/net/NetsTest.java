package yokebar.app.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Nets over HTTP: sessions, check-ins, turns, closing and taking back. */
class NetsTest extends NetSessionTest {
    @Test
    void severalCheckInAtOnceEachOnce() throws Exception {
        JsonNode first = enter("cu2qyc zp5qxa qlz ; from the ferry");
        assertThat(calls(first.path("sheet"))).containsExactly("CU2QYC", "ZP5QXA", "QLZ");
        assertThat(first.path("notices").toString()).contains("QLZ is only a part of a call");
        JsonNode again = enter("ZP5QXA oz1qab via cu2qyc traffic");
        assertThat(again.path("notices").toString()).contains("ZP5QXA has checked in already, as number 2.");
        JsonNode relayed = row(again.path("sheet"), "OZ1QAB");
        assertThat(relayed.path("via").asString()).isEqualTo("CU2QYC");
        assertThat(relayed.path("marks").toString()).isEqualTo("[\"TRAFFIC\"]");
        assertThat(row(again.path("sheet"), "ZP5QXA").path("note").asString()).isEqualTo("from the ferry");
    }

    @Test
    void aLineThatIsSentAgainIsTakenOnce() throws Exception {
        ok(enter("cu2qyc", "one", null));
        ok(enter("cu2qyc", "one", null));
        assertThat(calls(sheet())).containsExactly("CU2QYC");
    }

    @Test
    void whatCannotBeACallIsRefusedWithASentence() throws Exception {
        assertThat(refusal("cu9!")).isEqualTo("\"cu9!\" cannot be a call or a part of one.");
        assertThat(refusal("59")).isEqualTo("Type a call, or choose the station this is about first.");
        assertThat(refusal("a".repeat(501))).isEqualTo("A line has at most 500 characters.");
        assertThat(calls(sheet())).isEmpty();
    }

    @Test
    void aPartOfACallFindsThoseWhoCameBeforeThenTheLog() throws Exception {
        enter("cu2qyc");
        ok(sendJson("POST", path("/close"), Map.of()));
        sessionId = start(netId);
        importText(contact("OZ1QYC"));
        await("the log is counted", () -> {
            try {
                JsonNode parts = ok(sendJson("POST", path("/read"), Map.of("text", "qyc early")))
                        .path("parts");
                List<String> found = new ArrayList<>();
                parts.path(0)
                        .path("candidates")
                        .forEach(one -> found.add(one.path("call").asString()));
                return found.equals(List.of("CU2QYC", "OZ1QYC"));
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(sheet().path("missing")).as("one session makes no regular").isEmpty();
        assertThat(row(enter("cu2qyc").path("sheet"), "CU2QYC").path("sessions").asInt())
                .isEqualTo(1);
    }

    @Test
    void turnsGoRoundEarlyLeaversFirstAndSkippedOnesLast() throws Exception {
        enter("cu2qyc zp5qxa oz1qab");
        JsonNode sheet = enter("hb9qac early").path("sheet");
        assertThat(turnOf(sheet, "nextId")).isEqualTo("HB9QAC");
        sheet = act("NEXT_TURN", null);
        assertThat(turnOf(sheet, "turnId")).isEqualTo("HB9QAC");
        sheet = act("NEXT_TURN", null);
        assertThat(turnOf(sheet, "turnId")).isEqualTo("CU2QYC");
        sheet = act("SKIP_TURN", null);
        assertThat(turnOf(sheet, "turnId")).isEqualTo("ZP5QXA");
        sheet = act("MOVE_UP", row(sheet, "OZ1QAB").path("id").asLong());
        assertThat(calls(sheet)).containsExactly("CU2QYC", "OZ1QAB", "ZP5QXA", "HB9QAC");
        sheet = act("NEXT_TURN", null);
        assertThat(turnOf(sheet, "turnId")).isEqualTo("OZ1QAB");
        sheet = act("NEXT_TURN", null);
        assertThat(turnOf(sheet, "turnId")).as("skipped before").isEqualTo("CU2QYC");
        sheet = act("NEXT_TURN", null);
        assertThat(sheet.path("round").asInt()).isEqualTo(2);
        assertThat(turnOf(sheet, "turnId")).isEqualTo("nobody");
        sheet = act("GIVE_TURN", row(sheet, "ZP5QXA").path("id").asLong());
        assertThat(turnOf(sheet, "turnId")).isEqualTo("ZP5QXA");
        ok(enter("59 55 ; loud", "a report", null));
        ok(enter("59 55 ; loud", "a report", null));
        assertThat(row(sheet(), "ZP5QXA").path("received").asString()).isEqualTo("55");
        assertThat(row(sheet(), "ZP5QXA").path("note").asString()).isEqualTo("loud");
    }

    @Test
    void closingLogsThemOnceAndOneUndoTakesThemBack() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-12-31");
        enter("cu2qyc zp5qxa");
        enter("qlz");
        JsonNode closed = ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(closed.path("notices").toString()).contains("QLZ is not a whole call and was not logged.");
        assertThat(logged(closed.path("sheet"))).isEqualTo(2);
        assertThat(wholeLog())
                .contains("<PROP_MODE:3>RPT")
                .contains("<MODE:2>FM")
                .contains("<APP_YOKEBAR_NET:26>Island Repeater Roundtable");
        awaitState("ZP5QXA", COUNTERSIGN, "HELD");
        awaitState("CU2QYC", COUNTERSIGN, "HELD");
        assertThat(get("/api/services/1/outlook").path("held").toString())
                .contains("Made over a repeater, and Countersign takes direct contacts only.");
        await("found by the name of the net", () -> {
            try {
                return get("/api/log/rows?limit=0&search=net:roundtable")
                                .path("found")
                                .asInt()
                        == 2;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(sendJson("POST", path("/close"), Map.of()).statusCode()).isEqualTo(409);
        changed(sendJson(
                "POST", "/api/changes/" + closed.path("sheet").path("changeId").asLong() + "/undo", Map.of()));
        assertThat(count("contact")).isZero();
        assertThat(logged(sheet())).isZero();
    }

    @Test
    void whatAnotherPathLoggedStaysOneContact() throws Exception {
        JsonNode sheet = enter("zp5qxa").path("sheet");
        String at = row(sheet, "ZP5QXA").path("at").asString();
        importText(record(
                "CALL", "ZP5QXA",
                "QSO_DATE", at.substring(0, 10).replace("-", ""),
                "TIME_ON", at.substring(11, 16).replace(":", ""),
                "BAND", "2m",
                "MODE", "FM",
                "STATION_CALLSIGN", "CU9QYB"));
        ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(count("contact")).isEqualTo(1);
        assertThat(wholeLog()).contains("<PROP_MODE:3>RPT");
    }

    @Test
    void aSessionClosedAgainAfterReopeningLogsOnlyWhatIsNew() throws Exception {
        enter("zp5qxa");
        ok(sendJson("POST", path("/close"), Map.of()));
        ok(sendJson("POST", path("/reopen"), Map.of()));
        enter("cu2qyc");
        JsonNode closed = ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(logged(closed.path("sheet"))).isEqualTo(2);
        assertThat(count("contact")).isEqualTo(2);
        start(netId);
        assertThat(sendJson("POST", path("/reopen"), Map.of()).body())
                .contains("A session of Island Repeater Roundtable is running. Close it before you reopen another.");
    }

    @Test
    void aCorrectionAfterClosingCorrectsTheContact() throws Exception {
        JsonNode sheet = enter("zp5qxb").path("sheet");
        ok(sendJson("POST", path("/close"), Map.of()));
        long checkInId = row(sheet, "ZP5QXB").path("id").asLong();
        ok(sendJson("PUT", path("/check-ins/" + checkInId), Map.of("call", "zp5qxa", "received", "57")));
        assertThat(wholeLog()).contains("<CALL:6>ZP5QXA").contains("<RST_RCVD:2>57");
        assertThat(count("contact")).isEqualTo(1);
        HttpResponse<String> wrong =
                sendJson("PUT", path("/check-ins/" + checkInId), Map.of("call", "qlz", "sent", "99"));
        assertThat(wrong.body()).contains("\\\"qlz\\\" is not a whole call.");
    }

    @Test
    void aSessionKeepsWhatItTookFromANetThatIsRenamedOrRemoved() throws Exception {
        enter("zp5qxa");
        assertThat(start(netId)).as("the session that runs").isEqualTo(sessionId);
        assertThat(sendJson("DELETE", "/api/nets/" + netId, Map.of()).body())
                .contains("A session of Island Repeater Roundtable is running. Close it first.");
        put("/api/nets/" + netId, net("Roundtable", "145.750", "FM", "RPT"));
        assertThat(sheet().path("net").asString()).isEqualTo("Island Repeater Roundtable");
        ok(sendJson("POST", path("/close"), Map.of()));
        ok(sendJson("DELETE", "/api/nets/" + netId, Map.of()));
        assertThat(calls(sheet())).containsExactly("ZP5QXA");
        assertThat(text(path("/report.txt")))
                .contains("Island Repeater Roundtable")
                .contains("ZP5QXA");
        assertThat(text(path("/report.csv"))).contains("ZP5QXA");
    }

    @Test
    void inANetThatAnotherStationLeadsOnlyThoseWorkedAreLogged() throws Exception {
        Map<String, Object> draft = net("Lantern Net", "14.285", "SSB", null);
        draft.put("netControl", false);
        sessionId = start(add(draft));
        JsonNode sheet = enter("zp5qxa cu2qyc oz1qab").path("sheet");
        act("TOGGLE_WORKED", row(sheet, "ZP5QXA").path("id").asLong());
        act("TOGGLE_WORKED", row(sheet, "OZ1QAB").path("id").asLong());
        act("TOGGLE_WORKED", row(sheet, "OZ1QAB").path("id").asLong());
        assertThat(row(sheet(), "ZP5QXA").path("worked").asBoolean()).isTrue();
        ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(count("contact")).isEqualTo(1);
        assertThat(wholeLog()).contains("<CALL:6>ZP5QXA").doesNotContain("PROP_MODE");
    }

    @Test
    void aNetWithoutLoggingLeavesTheLogAlone() throws Exception {
        Map<String, Object> draft = net("Chat", "145.500", "FM", null);
        draft.put("logs", false);
        sessionId = start(add(draft));
        enter("zp5qxa");
        ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(count("contact")).isZero();
    }

    @Test
    void settingsThatCannotBeAreRefusedAtTheirField() throws Exception {
        for (Map.Entry<String, Object> wrong : Map.<String, Object>of(
                        "name", " ", "frequency", "12.5", "mode", "LOUD", "identifyMinutes", 0)
                .entrySet()) {
            Map<String, Object> draft = net("Another", "7.085", "SSB", null);
            draft.put(wrong.getKey(), wrong.getValue());
            HttpResponse<String> answer = sendJson("POST", "/api/nets", draft);
            assertThat(JSON.readTree(answer.body())
                            .path("fields")
                            .path(0)
                            .path("field")
                            .asString())
                    .isEqualTo(wrong.getKey());
        }
        assertThat(sendJson("POST", "/api/nets", net("island repeater ROUNDTABLE", "", "", null))
                        .body())
                .contains("There is a net called island repeater ROUNDTABLE already.");
    }

    @Test
    void aCheckInIsTakenOffTheListAndTheOwnCallIsNoted() throws Exception {
        JsonNode sheet = enter("zp5qxa cu2qyc").path("sheet");
        ok(sendJson(
                "DELETE", path("/check-ins/" + row(sheet, "ZP5QXA").path("id").asLong()), Map.of()));
        assertThat(calls(sheet())).containsExactly("CU2QYC");
        jdbc.update("update net_session set identified_at = timestamp '2026-01-01 00:00:00+00'");
        assertThat(ok(sendJson("POST", path("/identified"), Map.of()))
                        .path("identifiedAt")
                        .asString())
                .isGreaterThan("2026-01-02");
    }
}
