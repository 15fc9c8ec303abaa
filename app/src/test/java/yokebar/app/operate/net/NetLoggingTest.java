package yokebar.app.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.net.http.HttpResponse;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Check-ins logged one by one, and the reports of a session. */
class NetLoggingTest extends NetSessionTest {
    private HttpResponse<String> log(String call) throws Exception {
        long id = row(sheet(), call).path("id").asLong();
        return sendJson("POST", path("/check-ins/" + id + "/log"), Map.of());
    }

    private void undo(JsonNode sheet) throws Exception {
        changed(sendJson("POST", "/api/changes/" + sheet.path("changeId").asLong() + "/undo", Map.of()));
    }

    @Test
    void oneByOneThenTheRestAndOneUndoTakesAllBack() throws Exception {
        enter("zp5qxa cu2qyc");
        ok(log("ZP5QXA"));
        ok(log("ZP5QXA"));
        assertThat(count("contact")).isEqualTo(1);
        assertThat(logged(sheet())).isEqualTo(1);
        assertThat(sheet().hasNonNull("endedAt")).isFalse();
        JsonNode closed = ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(closed.path("notices")).isEmpty();
        assertThat(count("contact")).isEqualTo(2);
        undo(closed.path("sheet"));
        assertThat(count("contact")).isZero();
    }

    @Test
    void whatWasTakenBackIsLoggedAgainWithAChangeOfItsOwn() throws Exception {
        enter("zp5qxa");
        ok(log("ZP5QXA"));
        undo(sheet());
        assertThat(count("contact")).isZero();
        JsonNode closed = ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(count("contact")).isEqualTo(1);
        undo(closed.path("sheet"));
        assertThat(count("contact")).isZero();
    }

    @Test
    void atTheNetOfAnotherStationLoggingOneMarksItAsWorked() throws Exception {
        Map<String, Object> draft = net("Lantern Net", "14.285", "SSB", null);
        draft.put("netControl", false);
        sessionId = start(add(draft));
        enter("zp5qxa cu2qyc");
        ok(log("ZP5QXA"));
        assertThat(row(sheet(), "ZP5QXA").path("worked").asBoolean()).isTrue();
        ok(sendJson("POST", path("/close"), Map.of()));
        assertThat(count("contact")).isEqualTo(1);
    }

    @Test
    void theContactOfAnHfNetIsHandedOnAndTheOneOfTheRepeaterIsHeld() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-12-31");
        enter("zp5qxa");
        ok(sendJson("POST", path("/close"), Map.of()));
        awaitState("ZP5QXA", COUNTERSIGN, "HELD");
        sessionId = start(add(net("Lantern Net", "14.285", "SSB", null)));
        enter("zp5qxa");
        ok(sendJson("POST", path("/close"), Map.of()));
        await("one is due, one is held", () -> outlook("due") == 1 && outlook("held") == 1);
        ok(sendJson("POST", "/api/services/1/handovers", Map.of()));
        await("in the books", () -> !countersign.books().isEmpty());
        assertThat(countersign.books()).singleElement().asString().containsIgnoringCase("20m");
    }

    private int outlook(String state) {
        try {
            return get("/api/services")
                    .path(0)
                    .path("counts")
                    .path(state.toUpperCase(Locale.ROOT))
                    .asInt();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aPartOfACallIsNotLoggedAndANetWithoutLoggingSaysSo() throws Exception {
        enter("qlz");
        assertThat(ok(log("QLZ")).path("notices").toString()).contains("QLZ is not a whole call and was not logged.");
        Map<String, Object> draft = net("Quiet Net", "7.085", "SSB", null);
        draft.put("logs", false);
        sessionId = start(add(draft));
        enter("zp5qxa");
        assertThat(log("ZP5QXA").body()).contains("The check-ins of Quiet Net are not logged.");
        assertThat(count("contact")).isZero();
    }

    @Test
    void theContactsOfASessionAreThereAsAdiLoggedOrNot() throws Exception {
        enter("zp5qxa cu2qyc qlz");
        ok(log("ZP5QXA"));
        String adi = text(path("/report.adi"));
        assertThat(adi).contains("<CALL:6>ZP5QXA").contains("<CALL:6>CU2QYC").doesNotContain("QLZ");
        assertThat(adi.split("<EOR>", -1)).hasSize(3);
        assertThat(adi).contains("<PROP_MODE:3>RPT");
    }

    @Test
    void theReportIsPrinted() throws Exception {
        enter("zp5qxa traffic ; asks Čeněk for a part");
        try (PdfReader pdf =
                new PdfReader(http().send(request(path("/report.pdf")).build(), HttpResponse.BodyHandlers.ofByteArray())
                        .body())) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            assertThat(new PdfTextExtractor(pdf).getTextFromPage(1))
                    .contains("Island Repeater Roundtable")
                    .contains("ZP5QXA")
                    .contains("traffic, first time, asks Cenek for a part")
                    .contains("1 check-in, 1 for the first time, 1 with traffic.");
        }
    }
}
