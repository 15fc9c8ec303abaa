package yokebar.app.operate.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class LineTest extends AppTest {

    private JsonNode read(String text) throws Exception {
        return JSON.readTree(sendJson("POST", "/api/line/read", Map.of("text", text, "typedForMs", 1000))
                .body());
    }

    private HttpResponse<String> log(String text, String key) throws Exception {
        Map<String, Object> body = new HashMap<>(Map.of("text", text, "typedForMs", 5000));
        body.put("key", key);
        return sendJson("POST", "/api/line/log", body);
    }

    private static Map<String, Object> entitiesOnEveryBandAndConfirmed() {
        return Map.of(
                "goals",
                List.of(
                        Map.of("kind", "ENTITY", "granularity", "BAND", "bar", "WORKED", "services", List.of()),
                        Map.of("kind", "ENTITY", "granularity", "EVER", "bar", "CONFIRMED", "services", List.of())),
                "watch",
                List.of(),
                "ignore",
                List.of(),
                "turnBeam",
                false,
                "alerts",
                List.of());
    }

    @Test
    void tellsWhoThatIsWhileTheCallIsTyped() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        await("counts", () -> {
            try {
                return read("zp5qxa 14.074 ft8").path("station").path("worked").asInt() == 1;
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(read("zp5").path("likely").get(0).path("call").asString()).isEqualTo("ZP5QXA");
        put("/api/onair/choices", entitiesOnEveryBandAndConfirmed());
        JsonNode near = read("zp5qxb 20m cw");
        assertThat(near.path("likely").get(0).path("near").asBoolean()).isTrue();
        JsonNode need = near.path("station").path("need");
        assertThat(need.path("ever").asString()).isEqualTo("WORKED");
        assertThat(need.path("band").asString()).isEqualTo("WORKED");
        assertThat(need.path("mode").asString()).isEqualTo("NEEDED");
        assertThat(near.path("station").path("wants").toString()).contains("Paraguay, not confirmed");
        assertThat(near.path("station").path("brings").toString()).contains("Paraguay for the first time in CW");
        JsonNode onBand = read("zp5qxb 15m cw").path("station");
        assertThat(onBand.path("wants").toString()).contains("Paraguay, not yet on 15m");
        assertThat(onBand.path("brings").toString()).doesNotContain("Paraguay");
        assertThat(read("").path("problems")).isEmpty();
        assertThat(read("14250 usb").path("tunes").asBoolean()).isTrue();
    }

    @Test
    void logsOnceHoweverOftenThePageTriesAndCanBeTakenBack() throws Exception {
        HttpResponse<String> first = log("zp5qxa 20m cw 579 599 ana 2026-05-01 14:07-14:12", "one");
        assertThat(first.statusCode()).as(first.body()).isEqualTo(200);
        assertThat(log("zp5qxa 20m cw 579 599 ana 2026-05-01 14:07-14:12", "one")
                        .body())
                .isEqualTo(first.body());
        assertThat(count("contact")).isEqualTo(1);
        assertThat(count("intake_journal")).isEqualTo(1);
        // A page that was reloaded makes another key; the same contact is still one.
        JsonNode second = JSON.readTree(
                log("zp5qxa 20m cw 579 599 ana 2026-05-01 14:07-14:12", "two").body());
        assertThat(second.path("logged").path("fresh").asBoolean()).isFalse();
        assertThat(count("contact")).isEqualTo(1);
        JsonNode row = get("/api/log/rows?columns=TIME_OFF").path("lines").get(0);
        assertThat(row.path("reportSent").asString()).isEqualTo("579");
        assertThat(row.path("country").asString()).isEqualTo("Paraguay");
        assertThat(row.path("more").path("TIME_OFF").asString()).startsWith("1412");
        long change =
                JSON.readTree(first.body()).path("logged").path("changeId").asLong();
        changed(sendJson("POST", "/api/changes/" + change + "/undo", Map.of()));
        assertThat(count("contact")).isZero();
    }

    /** Typed from memory or paper, a few minutes off or another contact: the operator says which. */
    @Test
    void aLateEntryNearAnotherAsksWhetherItIsTheSame() throws Exception {
        importText(
                contact("ZP5QXA", "qso_date", "20260501", "time_on", "120000", "rst_sent", "599", "rst_rcvd", "579"));
        String line = "zp5qxa 20m ft8 sent:599 rcvd:579 2026-05-01 12:10";
        JsonNode question = JSON.readTree(log(line, "late").body()).path("question");
        assertThat(question.path("sentence").asString()).isEqualTo("Same contact as ZP5QXA at 12:00 UTC?");
        assertThat(count("contact")).isEqualTo(1);
        JsonNode same = JSON.readTree(
                answered(line, "late", question.path("contactId").asLong()).body());
        assertThat(same.path("logged").path("fresh").asBoolean()).isFalse();
        assertThat(count("contact")).isEqualTo(1);
        JsonNode another = JSON.readTree(answered(line, "late again", 0).body());
        assertThat(another.path("logged").path("fresh").asBoolean()).isTrue();
        assertThat(count("contact")).isEqualTo(2);
        assertThat(JSON.readTree(log("zp5qxa 20m ft8 sent:599 rcvd:579 2026-05-01 12:00", "at the minute")
                                .body())
                        .has("question"))
                .as("the minute agrees")
                .isFalse();
        assertThat(count("contact")).isEqualTo(2);
    }

    private HttpResponse<String> answered(String text, String key, long sameAs) throws Exception {
        return sendJson("POST", "/api/line/log", Map.of("text", text, "typedForMs", 0, "key", key, "sameAs", sameAs));
    }

    @Test
    void dupesOfTodayAreTold() throws Exception {
        log("zp5qxa 20m cw", "dupe");
        assertThat(read("zp5qxa 20m cw").path("station").path("dupe").asString())
                .startsWith("Worked today at")
                .endsWith("on 20m in CW.");
        assertThat(read("zp5qxa 40m cw").path("station").path("dupe").isMissingNode())
                .isTrue();
        assertThat(read("zp5qxa 20m ssb").path("station").path("dupe").isMissingNode())
                .isTrue();
    }

    @Test
    void saysAtItsFieldWhatIsMissing() throws Exception {
        HttpResponse<String> refused = log("zp5qxa", "missing");
        assertThat(refused.statusCode()).isEqualTo(422);
        JsonNode fields = JSON.readTree(refused.body()).path("fields");
        assertThat(fields.get(0).path("field").asString()).isEqualTo("MODE");
        assertThat(fields.get(1).path("field").asString()).isEqualTo("FREQ");
        assertThat(count("contact")).isZero();
        assertThat(log("zp5qxa 20m cw", "").statusCode()).isEqualTo(422);
    }

    @Test
    void tuningWithoutARadioSaysSo() throws Exception {
        HttpResponse<String> refused = sendJson("POST", "/api/line/tune", Map.of("text", "14250", "typedForMs", 0));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("There is no radio to tune.");
    }

    @Test
    void whatSticksGoesIntoEachContactUnlessAnotherIsTyped() throws Exception {
        for (String text : new String[] {"zp5qxa 20m cw", "k1qab 20m cw 10w"}) {
            sendJson(
                    "POST",
                    "/api/line/log",
                    Map.of("text", text, "typedForMs", 0, "key", "sticks " + text, "sticking", Map.of("TX_PWR", "5")));
        }
        JsonNode rows =
                get("/api/log/rows?sort=CALL&descending=false&columns=TX_PWR").path("lines");
        assertThat(rows.get(0).path("more").path("TX_PWR").asString()).isEqualTo("10");
        assertThat(rows.get(1).path("more").path("TX_PWR").asString()).isEqualTo("5");
    }

    @Test
    void aStateItsEntityDoesNotHaveIsToldAndLogged() throws Exception {
        assertThat(read("k1qab 20m cw state:ca").path("notices")).isEmpty();
        JsonNode strange = read("k1qab 20m cw state:zz");
        assertThat(strange.path("notices").toString()).contains("has no \\\"ZZ\\\" that we know of");
        assertThat(strange.path("problems")).isEmpty();
        assertThat(read("oz1qab 20m cw state:zz").path("notices")).isEmpty();
    }

    @Test
    void aContactOverAKnownRepeaterIsLoggedAsOne() throws Exception {
        HttpResponse<String> wrong =
                sendJson("PUT", "/api/station/preferences", Map.of("channels", "145.700 tower Pico"));
        assertThat(wrong.body()).contains("\"field\":\"channels\"", "repeater, linked, internet, satellite");
        put("/api/station/preferences", Map.of("channels", "145.700 repeater Pico"));
        JsonNode view = read("zp5qxa 145.700 fm");
        assertThat(view.path("relayed").asBoolean()).isTrue();
        assertThat(view.path("notices").toString()).contains("Through repeater Pico: logged via RPT");
        log("zp5qxa 145.700 fm", "repeater");
        assertThat(get("/api/log/rows?search=via:rpt").path("found").asInt()).isEqualTo(1);
        put("/api/station/preferences", Map.of("channels", ""));
    }

    @Test
    void withoutARadioWhatWasTypedLastStays() throws Exception {
        Map<String, Object> body = Map.of(
                "text",
                "zp5qxa 599",
                "typedForMs",
                0,
                "key",
                "kept tuning",
                "sticking",
                Map.of("FREQ", "7.012", "MODE", "CW"));
        HttpResponse<String> answer = sendJson("POST", "/api/line/log", body);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        JsonNode row = get("/api/log/rows").path("lines").get(0);
        assertThat(row.path("frequencyHz").asLong()).isEqualTo(7_012_000);
        assertThat(row.path("mode").asString()).isEqualTo("CW");
        assertThat(wholeLog()).doesNotContain("FREQ_RX");
    }
}
