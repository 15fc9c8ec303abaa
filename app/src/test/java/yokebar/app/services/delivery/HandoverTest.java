package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The path to Countersign and back, against the stand-in. */
class HandoverTest extends CountersignTest {

    @Test
    void aContactIsHandedOverAcceptedByReportAndConfirmedByTheOtherSide() throws Exception {
        countersign.setPaceOfOthers(1000);
        String call = confirmingCall();
        importText(contact(call));
        awaitState(call, "DUE");
        handOver();
        awaitState(call, "ACCEPTED");
        assertThat(countersign.books()).hasSize(1);
        await("the other side", () -> countersign.summary().get("confirmations").equals(1));
        JsonNode fetched =
                JSON.readTree(sendJson("POST", "/api/services/1/fetches", "").body());
        assertThat(fetched.path("fetched").asInt()).isEqualTo(1);
        awaitState(call, "CONFIRMED");
        assertThat(journey(call)).contains("ARRIVED", "HANDED_OVER", "ACCEPTED", "CONFIRMED");
        assertThat(lane().path("counts").path("CONFIRMED").asInt()).isEqualTo(1);
        JsonNode again =
                JSON.readTree(sendJson("POST", "/api/services/1/fetches", "").body());
        assertThat(again.path("sentence").asString()).isEqualTo("Nothing new.");
    }

    private String confirmingCall() {
        return world.stations().stream()
                .filter(s -> s.confirmsAfter() != null)
                .findFirst()
                .orElseThrow()
                .call();
    }

    @Test
    void opensslAcceptsAHandedOverBatch() throws Exception {
        importText(contact("ZP5QXA", "gridsquare", "GG14") + contact("OZ1QAB"));
        countersign.setQueueDelay(Duration.ofHours(1));
        handOver();
        awaitState("ZP5QXA", "HANDED_OVER");
        byte[] batch = jdbc.queryForObject("select content from handover_content", byte[].class);
        assertThat(openssl(batch))
                .contains("<CALL:6>ZP5QXA")
                .contains("<CALL:6>OZ1QAB")
                .doesNotContain("GG14");
        batch[indexOf(batch, "ZP5QXA".getBytes(StandardCharsets.US_ASCII))] = 'X';
        assertThat(openssl(batch)).startsWith("failed:");
        countersign.setQueueDelay(Duration.ZERO);
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(count("handover_content"))
                .as("batches kept once it is known what became of them")
                .isZero();
    }

    /** The content openssl finds in the batch, or what it says when it does not accept it. */
    private String openssl(byte[] batch) throws Exception {
        Path file = Files.write(folder.resolve("batch.p7m"), batch);
        Path content = folder.resolve("content.adi");
        String authority = folder.resolve("countersign/authority.pem").toString();
        Process openssl = new ProcessBuilder(
                        "openssl",
                        "cms",
                        "-verify",
                        "-inform",
                        "DER",
                        "-purpose",
                        "any",
                        "-in",
                        file.toString(),
                        "-CAfile",
                        authority,
                        "-out",
                        content.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(openssl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return openssl.waitFor() == 0 ? Files.readString(content) : "failed: " + said;
    }

    private static int indexOf(byte[] text, byte[] part) {
        for (int i = 0; i + part.length <= text.length; i++) {
            if (java.util.Arrays.equals(text, i, i + part.length, part, 0, part.length)) {
                return i;
            }
        }
        throw new AssertionError("not found");
    }

    @Test
    void relayedContactsAndThoseWithoutIdentityAreHeldWithTheReason() throws Exception {
        useEventCall("CU9QLZ", "2026-05-01", "2026-05-31");
        importText(contact("ZP5QXA", "prop_mode", "RPT")
                + contact("OZ1QAB", "station_callsign", "CU9QLZ")
                + contact("OZ2QAB", "station_callsign", "CU9QZZ")
                + contact("OZ1QCD").replace("20260501", "20190501"));
        handOver();
        assertThat(reason("ZP5QXA")).contains("takes direct contacts only");
        assertThat(reason("OZ2QAB")).contains("Made as CU9QZZ, which is none of the station's calls");
        assertThat(reason("OZ1QAB")).contains("No certificate for CU9QLZ");
        assertThat(reason("OZ1QCD")).contains("from 2020-01-01 to 2030-01-01");
        assertThat(count("handover")).isZero();
        installIdentity("CU9QYB", "2015-01-01", "2030-01-01");
        awaitState("OZ1QCD", "DUE");
        assertThat(state("ZP5QXA")).isEqualTo("HELD");
    }

    @Test
    void aRangeOfDaysGoesWithItsFirstAndItsLastDay() throws Exception {
        importText(contact("ZP5QXA").replace("20260501", "20260430")
                + contact("OZ1QAB")
                + contact("OZ1QCD").replace("20260501", "20260503").replace("140700", "235959")
                + contact("OZ1QEF").replace("20260501", "20260504").replace("140700", "000000"));
        var wrong = sendJson("POST", "/api/services/1/handovers", Map.of("fromDay", "1 May"));
        assertThat(wrong.body()).contains("is not a date; write it as 2026-05-01");
        sendJson("POST", "/api/services/1/handovers", Map.of("fromDay", "2026-05-01", "untilDay", "2026-05-03"));
        awaitState("OZ1QAB", "ACCEPTED");
        awaitState("OZ1QCD", "ACCEPTED");
        assertThat(get("/api/services/1/contacts?state=DUE"))
                .extracting(line -> line.path("call").asString())
                .containsExactlyInAnyOrder("ZP5QXA", "OZ1QEF");
        sendJson("POST", "/api/services/1/handovers", Map.of("untilDay", "2026-04-30"));
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(state("OZ1QEF")).isEqualTo("DUE");
        put("/api/services/2", Map.of("inUse", true));
        assertThat(sendJson("POST", "/api/services/2/handovers", Map.of()).body())
                .contains("Quayside is not set up yet.");
    }

    @Test
    void whatTheOperatorExcludesStaysAndComesBackOnDemand() throws Exception {
        importText(contact("ZP5QXA"));
        long id = idOf("ZP5QXA");
        put("/api/services/1/contacts", Map.of("meant", false, "contactIds", List.of(id)));
        assertThat(state("ZP5QXA")).isEqualTo("NOT_MEANT");
        put("/api/services/1/contacts", Map.of("meant", true, "contactIds", List.of(id)));
        assertThat(state("ZP5QXA")).isEqualTo("DUE");
    }

    @Test
    void manyContactsGoInSeveralBatchesEachOnce() throws Exception {
        importText(many());
        handOver();
        await("all accepted", () -> counted("ACCEPTED") == 1200);
        assertThat(countersign.books()).hasSize(1200).allMatch(line -> line.get("copies")
                .equals(1));
        assertThat(lane().path("handovers")).hasSize(3);
        int rows = jdbc.queryForObject("select count(*) from delivery where state = 'ACCEPTED'", Integer.class);
        assertThat(rows).isEqualTo(1200);
    }

    @Test
    void aLongHandoverTellsItsProgressAndWhatIsNotOnItsWayCanStayDue() throws Exception {
        importText(many());
        countersign.faults().setSlowMs(1000);
        int due = lane().path("due").asInt();
        assertThat(due).isGreaterThan(1000);
        handOver();
        await("progress", () -> progress("left") < due && progress("left") > 0);
        assertThat(progress("total")).isEqualTo(due);
        sendJson("DELETE", "/api/services/1/handovers", "");
        assertThat(lane().has("handingOver")).isFalse();
        await("the batch on its way", () -> counted("HANDED_OVER") + counted("ACCEPTED") >= 500);
        await("nothing on its way", () -> count("handover") == tried());
        assertThat(counted("DUE")).isGreaterThanOrEqualTo(due - 1000);
        countersign.faults().setSlowMs(0);
        handOver();
        await("all of them", Duration.ofSeconds(30), () -> counted("ACCEPTED") == due);
        assertThat(countersign.books()).hasSize(due);
    }

    /** Some twelve hundred contacts, more than two batches. */
    private static String many() {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 1200; i++) {
            many.append(contact("OZ" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260)));
        }
        return many.toString();
    }

    private int tried() {
        return jdbc.queryForObject(
                "select count(*) from handover where attempts > 0 or state <> 'PREPARED'", int.class);
    }

    private int progress(String what) {
        return lane().path("handingOver").path(what).asInt(-1);
    }
}
