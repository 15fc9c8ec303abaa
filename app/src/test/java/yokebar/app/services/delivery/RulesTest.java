package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.services.delivery.ledger.RuleReview;
import yokebar.core.services.delivery.DeliveryState;

/** What goes where: relayed contacts, event calls, edits while a batch is on its way, a service taken into use later. */
class RulesTest extends ServiceTest {
    @Autowired
    private RuleReview review;

    @Test
    void relayedContactsGoToQuaysideOnRequestAndToCountersignNever() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA", "prop_mode", "RPT"));
        useQuayside();
        awaitState("ZP5QXA", QUAYSIDE, "HELD");
        JsonNode held = get("/api/services/2/outlook").path("held").get(0);
        assertThat(held.path("remedies").toString()).contains("ALLOW_RELAYED");
        put("/api/services/2", Map.of("relayed", true));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        sendJson("POST", "/api/services/1/handovers", Map.of("contactIds", List.of(idOf("ZP5QXA"))));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HELD");
        assertThat(countersign.books()).isEmpty();
    }

    /** One rule is one reason, however its contacts differ; it is put into words when it is read. */
    @Test
    void contactsOfOneRuleAreHeldForOneReason() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA", "qso_date", "20191231")
                + contact("OZ1QAB", "qso_date", "20191230")
                + contact("OZ2QAB", "prop_mode", "RPT"));
        JsonNode held = get("/api/services/1/outlook").path("held");
        assertThat(held.valueStream().map(one -> one.path("key").asString()))
                .containsExactly("NO_IDENTITY CU9QYB", "RELAYED RPT");
        assertThat(held.get(0).path("contacts").asInt()).isEqualTo(2);
        assertThat(held.get(0).path("reason").asString())
                .isEqualTo("The certificate for CU9QYB covers contacts from 2020-01-01 to 2030-01-01 only.");
        assertThat(get("/api/services/1/held?key=NO_IDENTITY%20CU9QYB")).hasSize(2);
        assertThat(send(request("/api/services/1/held?key=NONE").GET()).body())
                .contains("is not a reason for holding contacts.");
    }

    /** An earlier edition kept the reason in words. */
    @Test
    void whatIsHeldInWordsIsLookedAtAgain() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA", "prop_mode", "RPT"));
        // The background may look at it at any time, so nothing is said of the time between.
        jdbc.update("update delivery set reason = 'In words.', hold_subject = null, hold_detail = null");
        assertThat(get("/api/services/1/outlook")
                        .path("held")
                        .get(0)
                        .path("reason")
                        .asString())
                .isIn("In words.", "Made over a repeater, and Countersign takes direct contacts only.");
        OnConflict.tryAgain(() -> review.review(COUNTERSIGN, DeliveryState.HELD, 0));
        assertThat(review.anyHeldInWords(COUNTERSIGN)).isFalse();
        assertThat(get("/api/contacts/" + idOf("ZP5QXA")).toString())
                .contains("Made over a repeater, and Countersign takes direct contacts only.");
    }

    @Test
    void anEditWhileNobodyKnowsWhetherTheBatchArrivedAsksFirst() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        countersign.faults().failNext(Integer.MAX_VALUE);
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        await(
                "a try failed",
                () -> lane(COUNTERSIGN)
                                        .path("handovers")
                                        .path(0)
                                        .path("attempts")
                                        .asInt()
                                > 0
                        && lane(COUNTERSIGN)
                                .path("hookup")
                                .path("state")
                                .asString()
                                .equals("TROUBLE"));
        edit("ZP5QXA", Map.of("PROP_MODE", "RPT"));
        countersign.faults().failNext(0);
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("OZ1QAB", COUNTERSIGN, "ACCEPTED");
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HELD");
        assertThat(countersign.books()).hasSize(1);
    }

    /** A thousand are looked at at once; those behind have their turn, too. */
    @Test
    void heldContactsBehindAThousandOthersAreLookedAtAgain() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 1000; i++) {
            many.append(contact("ZP5QX" + (char) ('A' + i % 26), "qso_date", "2019%04d".formatted(101 + i % 28)));
        }
        importText(many + contact("OZ1QAB"));
        awaitState("OZ1QAB", COUNTERSIGN, "DUE");
        jdbc.update(
                "update delivery set state = 'HELD', hold_rule = 'IN_THE_FUTURE' where contact_id = ? and service_id = 1",
                idOf("OZ1QAB"));
        Long after = 0L;
        while (after != null) {
            after = review.reviewWhatPasses(COUNTERSIGN, after);
        }
        assertThat(state("OZ1QAB", COUNTERSIGN)).isEqualTo("DUE");
    }

    @Test
    void anEventCallIsSignedInsideItsDatesAndHeldOutside() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        installIdentity("CU9QLZ", "2026-05-01", "2026-05-07");
        useEventCall("CU9QLZ", "2026-05-01", "2026-05-10");
        importText(contact("ZP5QXA", "station_callsign", "CU9QLZ")
                + contact("OZ1QAB", "station_callsign", "CU9QLZ").replace("20260501", "20260509")
                + contact("OZ1QAC", "station_callsign", "CU9QLZ").replace("20260501", "20260511"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        assertThat(countersign.books().toString()).contains("CU9QLZ ZP5QXA");
        assertThat(state("OZ1QAB", COUNTERSIGN)).isEqualTo("HELD");
        assertThat(get("/api/services/1/outlook").path("held").toString())
                .contains("The certificate for CU9QLZ covers contacts from 2026-05-01 to 2026-05-07 only.")
                .contains("CU9QLZ was not yours to use on 2026-05-11");
        assertThat(state("OZ1QAC", COUNTERSIGN)).isEqualTo("HELD");
    }

    @Test
    void aServiceTakenIntoUseLaterGetsTheWholeLogAndAPauseHoldsIt() throws Exception {
        StringBuilder log = new StringBuilder();
        for (char c = 'A'; c <= 'Z'; c++) {
            log.append(contact("OZ1QA" + c, "rst_sent", "599"));
        }
        importText(log.toString());
        assertThat(count("delivery")).isEqualTo(26);
        put("/api/services/pause", Map.of("paused", true));
        usePostbag();
        await("rows", () -> lane(POSTBAG).path("due").asInt() == 26);
        await("all looked at", () -> lane(POSTBAG).path("filling").isMissingNode());
        assertThat(postbag.books()).isEmpty();
        assertThat(sendJson("POST", "/api/services/" + POSTBAG + "/handovers", Map.of())
                        .body())
                .contains("Handing over is paused");
        put("/api/services/pause", Map.of("paused", false));
        await("accepted", () -> lane(POSTBAG).path("counts").path("ACCEPTED").asInt() == 26);
        assertThat(postbag.books()).hasSize(26).allMatch(entry -> entry.get("copies")
                .equals(1));
    }
}
