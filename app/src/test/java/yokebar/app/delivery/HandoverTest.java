package yokebar.app.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.app.OnConflict;
import yokebar.links.identity.IdentityFile;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.world.World;

/** The path to Countersign and back, against the stand-in. */
class HandoverTest extends AppTest {
    private static final String PASSPHRASE = "lamp";

    @TempDir
    private Path folder;

    @Autowired
    private HandoverDesk desk;

    @Autowired
    private BatchPacking packing;

    @Autowired
    private ServiceLines lines;

    private Countersign countersign;
    private final World world = new World(9);

    @BeforeEach
    void startCountersign() throws Exception {
        countersign = new Countersign(world, Clock.systemUTC(), folder, 0);
        countersign.setQueueDelay(Duration.ofMillis(100));
        countersign.setPaceOfOthers(1000);
        put(
                "/api/services/1",
                Map.of(
                        "address",
                        countersign.address(),
                        "account",
                        Countersign.ACCOUNT,
                        "password",
                        Countersign.PASSWORD,
                        "fetchEverySeconds",
                        86_400));
        installIdentity("2020-01-01T00:00:00Z", "2030-01-01T00:00:00Z");
    }

    @AfterEach
    void stopCountersign() {
        countersign.close();
    }

    @Test
    void aContactIsHandedOverAcceptedByReportAndConfirmedByTheOtherSide() throws Exception {
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
        String authority = folder.resolve("authority.pem").toString();
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

    @Test
    void whenYokebarNoLongerWaitsForAServiceThatIsWrittenDownAndTheLogStaysOpen() throws Exception {
        countersign.mishaps().setSlowMs(30_000);
        importText(contact("ZP5QXA"));
        handOver();
        await("the batch to be on its way", () -> tries() == 1);
        await("the end of waiting to be noted", () -> {
            // A try is written down before the service is asked.
            lines.giveUpWaiting();
            return jdbc.queryForObject("select count(*) from handover where trouble like '%not waited for%'", int.class)
                    == 1;
        });
        countersign.mishaps().setSlowMs(0);
        handOver();
        awaitState("ZP5QXA", "ACCEPTED");
        assertThat(countersign.books()).hasSize(1);
    }

    @Test
    void aLongHandoverTellsItsProgressAndWhatIsNotOnItsWayCanStayDue() throws Exception {
        importText(many());
        countersign.mishaps().setSlowMs(1000);
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
        countersign.mishaps().setSlowMs(0);
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
        return unchecked().path("handingOver").path(what).asInt(-1);
    }

    private int counted(String state) {
        return unchecked().path("counts").path(state).asInt();
    }

    private JsonNode unchecked() {
        try {
            return lane();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private int tries() {
        return jdbc.queryForObject("select coalesce(max(attempts), 0) from handover", int.class);
    }

    @Test
    void relayedContactsAndThoseWithoutIdentityAreHeldWithTheReason() throws Exception {
        importText(contact("ZP5QXA", "prop_mode", "RPT")
                + contact("OZ1QAB", "station_callsign", "CU9QLZ")
                + contact("OZ1QCD").replace("20260501", "20190501"));
        handOver();
        assertThat(reason("ZP5QXA")).contains("takes direct contacts only");
        assertThat(reason("OZ1QAB")).contains("No certificate for CU9QLZ");
        assertThat(reason("OZ1QCD")).contains("from 2020-01-01 to 2030-01-01");
        assertThat(count("handover")).isZero();
        installIdentity("2015-01-01T00:00:00Z", "2030-01-01T00:00:00Z");
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
        assertThat(wrong.body()).contains("is no day; write it as 2026-05-01");
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
        countersign.mishaps().loseNextAnswer();
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
        countersign.mishaps().failNext(2);
        importText(contact("ZP5QXA"));
        handOver();
        await("trouble", () -> laneHookup("state").equals("TROUBLE"));
        assertThat(laneHookup("reason")).contains("is in difficulties (500)");
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
        long prepared = packing.prepare(1, 500).orElseThrow();
        assertThat(packing.prepare(1, 500))
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
        assertThat(packing.prepare(1, 500)).isEmpty();
        assertThat(countersign.books()).isEmpty();
    }

    @Test
    void whatTheOperatorExcludesStaysAndComesBackOnDemand() throws Exception {
        importText(contact("ZP5QXA"));
        long id = idOf("ZP5QXA");
        put("/api/services/1/contacts/" + id, Map.of("meant", false));
        assertThat(state("ZP5QXA")).isEqualTo("NOT_MEANT");
        put("/api/services/1/contacts/" + id, Map.of("meant", true));
        assertThat(state("ZP5QXA")).isEqualTo("DUE");
    }

    @Test
    void secretsAreNeitherShownNorStoredInClear() throws Exception {
        String lane = lane().toString();
        assertThat(lane).doesNotContain(Countersign.PASSWORD).doesNotContain(PASSPHRASE + "\"");
        byte[] password = jdbc.queryForObject("select sealed_password from service where id = 1", byte[].class);
        assertThat(new String(password)).doesNotContain(Countersign.PASSWORD);
        byte[] file = jdbc.queryForObject("select sealed_file from signing_identity limit 1", byte[].class);
        assertThatThrownBy(() -> IdentityFile.open(file, PASSPHRASE.toCharArray()))
                .as("the stored file is sealed, so it is no PKCS#12 file")
                .isInstanceOf(IdentityFile.UnusableIdentity.class);
    }

    @Test
    void aWrongPassphraseIsSaid() throws Exception {
        byte[] identity = countersign.authority().issue("CU9QYB", Instant.EPOCH, Instant.now(), "right");
        var answer = upload("/api/services/1/identities", "id.p12", identity, Map.of("passphrase", "wrong"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("The passphrase does not open this file");
        var noFile = upload("/api/services/1/identities", "id.p12", new byte[] {1, 2}, Map.of("passphrase", "x"));
        assertThat(noFile.body()).contains("not a PKCS#12 identity");
    }

    @Test
    void manyContactsGoInSeveralBatchesEachOnce() throws Exception {
        importText(many());
        handOver();
        await("all accepted", () -> counts("ACCEPTED") == 1200);
        assertThat(countersign.books()).hasSize(1200).allMatch(line -> line.get("copies")
                .equals(1));
        assertThat(lane().path("handovers")).hasSize(3);
        int rows = jdbc.queryForObject("select count(*) from delivery where state = 'ACCEPTED'", Integer.class);
        assertThat(rows).isEqualTo(1200);
    }

    private void installIdentity(String from, String until) throws Exception {
        byte[] identity =
                countersign.authority().issue("CU9QYB", Instant.parse(from), Instant.parse(until), PASSPHRASE);
        upload("/api/services/1/identities", "identity.p12", identity, Map.of("passphrase", PASSPHRASE));
    }

    private void handOver() throws Exception {
        sendJson("POST", "/api/services/1/handovers", Map.of());
    }

    private String confirmingCall() {
        return world.stations().stream()
                .filter(s -> s.confirmsAfter() != null)
                .findFirst()
                .orElseThrow()
                .call();
    }

    private JsonNode lane() throws Exception {
        return get("/api/services").get(0);
    }

    private int counts(String state) {
        try {
            return lane().path("counts").path(state).asInt();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private String laneHookup(String field) {
        try {
            return lane().path("hookup").path(field).asString("");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private long idOf(String call) {
        return jdbc.queryForObject("select id from contact where call_sign = ?", Long.class, call);
    }

    private String state(String call) {
        return jdbc.queryForObject("select state from delivery where id = ?", String.class, Delivery.id(idOf(call), 1));
    }

    private String reason(String call) {
        return jdbc.queryForObject(
                "select reason from delivery where id = ?", String.class, Delivery.id(idOf(call), 1));
    }

    private List<String> journey(String call) throws Exception {
        return get("/api/contacts/" + idOf(call))
                .path("journey")
                .valueStream()
                .map(step -> step.path("kind").asString())
                .collect(Collectors.toList());
    }

    private void awaitState(String call, String state) {
        await(call + " " + state, () -> state(call).equals(state));
    }

    private static int indexOf(byte[] text, byte[] part) {
        for (int i = 0; i + part.length <= text.length; i++) {
            if (java.util.Arrays.equals(text, i, i + part.length, part, 0, part.length)) {
                return i;
            }
        }
        throw new AssertionError("not found");
    }
}
