package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import yokebar.app.platform.storage.OnConflict;
import yokebar.app.services.delivery.handover.BatchPacking;
import yokebar.app.services.delivery.handover.HandoverDesk;
import yokebar.standins.countersign.Countersign;

/** What can go wrong on the path to Countersign, and what becomes of the contacts. */
class HandoverTroubleTest extends CountersignTest {
    @Autowired
    private HandoverDesk desk;

    @Autowired
    private BatchPacking packing;

    @Autowired
    private ServiceLines lines;

    @Test
    void whenYokebarNoLongerWaitsForAServiceThatIsWrittenDownAndTheLogStaysOpen() throws Exception {
        countersign.faults().setSlowMs(30_000);
        importText(contact("ZP5QXA"));
        handOver();
        await("the batch to be on its way", () -> tries() == 1);
        await("the end of waiting to be noted", () -> {
            // A try is written down before the service is asked.
            lines.giveUpWaiting();
            return jdbc.queryForObject("select count(*) from handover where trouble like '%not waited for%'", int.class)
                    == 1;
        });
        countersign.faults().setSlowMs(0);
        handOver();
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(countersign.books()).hasSize(1);
    }

    private int tries() {
        return jdbc.queryForObject("select coalesce(max(attempts), 0) from handover", int.class);
    }

    @Test
    void whoAskedForAHandoverIsKept() throws Exception {
        importText(contact("ZP5QXA"));
        sendJsonFrom(1, "POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(lane().path("handovers").get(0).path("askedBy").asString())
                .isEqualTo("at " + get("/api/positions").get(0).path("name").asString());
        importText(contact("OZ1QAB"));
        handOver();
        awaitState("OZ1QAB", "ACCEPTED");
        assertThat(lane().path("handovers").get(0).has("askedBy"))
                .as("by a program that did not say where it is")
                .isFalse();
    }

    @Test
    void aRefusedContactCorrectedGoesAgain() throws Exception {
        countersign.setRefused("ZP5QXA", true);
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        handOver();
        awaitState("ZP5QXA", "REFUSED");
        awaitState("OZ1QAB", "ACCEPTED");
        assertThat(reason("ZP5QXA")).contains("not a valid call");
        long id = idOf("ZP5QXA");
        sendJson("PATCH", "/api/contacts/" + id, Map.of("version", 0, "changes", Map.of("CALL", "ZP5QXB")));
        awaitState("ZP5QXB", "DUE");
        handOver();
        awaitState("ZP5QXB", "ACCEPTED");
        assertThat(journey("ZP5QXB")).contains("REFUSED", "EDITED", "ACCEPTED");
    }

    @Test
    void anEditAfterAcceptanceGoesAgainAndANameDoesNot() throws Exception {
        importText(contact("ZP5QXA"));
        handOver();
        awaitState("ZP5QXA", "ACCEPTED");
        long id = idOf("ZP5QXA");
        sendJson("PATCH", "/api/contacts/" + id, Map.of("version", 0, "changes", Map.of("NAME", "Ana")));
        assertThat(state("ZP5QXA")).isEqualTo("ACCEPTED");
        sendJson("PATCH", "/api/contacts/" + id, Map.of("version", 1, "changes", Map.of("BAND", "40m")));
        assertThat(state("ZP5QXA")).isEqualTo("CHANGED");
        handOver();
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(countersign.books()).hasSize(2);
    }

    @Test
    void whenTheAnswerIsLostTheBatchIsTakenOnce() throws Exception {
        countersign.faults().loseNextAnswer();
        importText(contact("ZP5QXA"));
        handOver();
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(countersign.summary()).containsEntry("batches", 1).containsEntry("handedInTwice", 0L);
        assertThat(lane().path("handovers")).hasSize(1);
    }

    @Test
    void aServiceThatIsDownIsTroubleAndThenCaughtUpWith() throws Exception {
        countersign.setUp(false);
        importText(contact("ZP5QXA"));
        handOver();
        await("trouble", () -> laneHookup("state").equals("TROUBLE"));
        assertThat(laneHookup("reason")).contains("cannot be reached");
        assertThat(state("ZP5QXA")).isEqualTo("DUE");
        assertThat(lane().path("handovers").get(0).path("nextTryAt").isMissingNode())
                .isFalse();
        countersign.setUp(true);
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(laneHookup("state")).isEqualTo("LIVE");
    }

    @Test
    void nonsenseAndServerFaultsProveNothing() throws Exception {
        countersign.faults().failNext(2);
        importText(contact("ZP5QXA"));
        handOver();
        await("trouble", () -> laneHookup("state").equals("TROUBLE"));
        assertThat(laneHookup("reason")).contains("reports a fault (500)");
        awaitState("ZP5QXA", "ACCEPTED");
    }

    @Test
    void aWrongPasswordIsNamedForWhatItIs() throws Exception {
        put("/api/services/1", Map.of("password", "wrong"));
        importText(contact("ZP5QXA"));
        handOver();
        await("trouble", () -> laneHookup("state").equals("TROUBLE"));
        assertThat(laneHookup("fix")).contains("not the passphrase");
        assertThat(state("ZP5QXA")).isEqualTo("DUE");
        put("/api/services/1", Map.of("password", Countersign.PASSWORD));
        awaitState("ZP5QXA", "ACCEPTED");
    }

    @Test
    void aBatchNeverSentIsMadeAnewWhenAContactInItWasEdited() throws Exception {
        // With the line open the worker would send what is prepared here before it is edited.
        sendJson("POST", "/api/hookups/countersign/disconnect", Map.of());
        importText(contact("ZP5QXA"));
        long prepared = packing.prepare(1, 500, null).orElseThrow();
        assertThat(packing.prepare(1, 500, null))
                .as("what is claimed is not claimed twice")
                .isEmpty();
        long id = idOf("ZP5QXA");
        sendJson("PATCH", "/api/contacts/" + id, Map.of("version", 0, "changes", Map.of("PROP_MODE", "RPT")));
        assertThat(OnConflict.tryAgain(() -> desk.beginTry(prepared)))
                .as("whoever looks first, the worker or the test")
                .isEqualTo(HandoverDesk.Beginning.DROPPED);
        assertThat(state("ZP5QXA")).isEqualTo("HELD");
        sendJson("POST", "/api/hookups/countersign/connect", Map.of());
        handOver();
        assertThat(packing.prepare(1, 500, null)).isEmpty();
        assertThat(countersign.books()).isEmpty();
    }
}
