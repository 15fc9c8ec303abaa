package yokebar.app.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.mail.MailGateway;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.world.World;

/** What is particular to each kind of service: pushes, cards, identities by letter, radio mail. */
class ServicesTest extends AppTest {
    private static final int COUNTERSIGN = 1;
    private static final int QUAYSIDE = 2;
    private static final int POSTBAG = 3;
    private static final int PAPER = 4;

    @TempDir
    private Path folder;

    private final World world = new World(9);
    private Countersign countersign;
    private Quayside quayside;
    private Postbag postbag;

    @BeforeEach
    void startServices() throws Exception {
        countersign = new Countersign(world, Clock.systemUTC(), folder.resolve("countersign"), 0);
        countersign.setQueueDelay(Duration.ZERO);
        countersign.setPaceOfOthers(0);
        quayside = new Quayside(Clock.systemUTC(), folder.resolve("quayside"), 0);
        postbag = new Postbag(world, Clock.systemUTC(), folder.resolve("postbag"), 0);
        postbag.setPaceOfOthers(0);
    }

    @AfterEach
    void stopServices() {
        countersign.close();
        quayside.close();
        postbag.close();
    }

    private void useCountersign() throws Exception {
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
    }

    private void installIdentity(String call, String from, String until) throws Exception {
        byte[] file = countersign
                .authority()
                .issue(call, Instant.parse(from + "T00:00:00Z"), Instant.parse(until + "T23:59:59Z"), "lamp-oil");
        upload("/api/services/1/identities", "id.p12", file, Map.of("passphrase", "lamp-oil"));
    }

    private void useQuayside() throws Exception {
        put(
                "/api/services/2",
                Map.of("inUse", true, "address", quayside.address(), "password", Quayside.KEY, "when", "AT_ONCE"));
    }

    private void usePostbag() throws Exception {
        put(
                "/api/services/3",
                Map.of(
                        "inUse",
                        true,
                        "address",
                        postbag.address(),
                        "account",
                        Postbag.NAME,
                        "password",
                        Postbag.PASSWORD,
                        "when",
                        "AT_ONCE",
                        "fetchEverySeconds",
                        86_400));
    }

    private JsonNode lane(int serviceId) {
        try {
            for (JsonNode lane : get("/api/services")) {
                if (lane.path("id").asInt() == serviceId) {
                    return lane;
                }
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
        throw new IllegalStateException("no lane " + serviceId);
    }

    private String state(String call, int serviceId) {
        List<String> states = jdbc.queryForList(
                "select d.state from contact c join delivery d on d.id = c.id * 64 + ? where c.call_sign = ?",
                String.class,
                serviceId,
                call);
        return states.isEmpty() ? "" : states.get(0);
    }

    private void awaitState(String call, int serviceId, String state) {
        await(call + " " + state, () -> state(call, serviceId).equals(state));
    }

    private long idOf(String call) {
        return jdbc.queryForObject("select id from contact where call_sign = ?", Long.class, call);
    }

    private void edit(String call, Map<String, String> changes) throws Exception {
        long id = idOf(call);
        int version = get("/api/contacts/" + id).path("version").asInt();
        HttpResponse<String> answer =
                sendJson("PATCH", "/api/contacts/" + id, Map.of("version", version, "changes", changes));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    private List<Map<String, Object>> atQuayside() {
        return quayside.books().stream()
                .filter(entry -> entry.get("gone").equals(false))
                .toList();
    }

    @Test
    void aPushedContactIsFollowedByItsEditItsDeletionAndItsReturn() throws Exception {
        importText(contact("ZP5QXA", "name", "Ana"));
        useQuayside();
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        assertThat(lane(QUAYSIDE).path("proven").asBoolean()).isTrue();
        edit("ZP5QXA", Map.of("NAME", "Anna"));
        await("the edit there", () -> atQuayside().toString().contains("NAME=Anna"));
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        assertThat(atQuayside()).hasSize(1).allMatch(entry -> entry.get("copies")
                .equals(1));

        JsonNode deleted = changed(sendJson("POST", "/api/changes/delete", Map.of("ids", List.of(idOf("ZP5QXA")))));
        await("deleted there", () -> atQuayside().isEmpty());
        await("nothing left to delete", () -> lane(QUAYSIDE).path("withdrawals").asInt() == 0);
        changed(sendJson("POST", "/api/changes/" + deleted.path("id").asLong() + "/undo", Map.of()));
        await("there again", () -> atQuayside().size() == 1);
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
    }

    @Test
    void aSlowedDownPushLosesAndDoublesNothing() throws Exception {
        quayside.setMostInASecond(7);
        quayside.mishaps().loseNextAnswer();
        StringBuilder log = new StringBuilder();
        for (char c = 'A'; c <= 'Z'; c++) {
            log.append(contact("OZ1QA" + c));
        }
        importText(log.toString());
        useQuayside();
        await("all there", Duration.ofSeconds(40), () -> {
            sleepless();
            return lane(QUAYSIDE).path("counts").path("ACCEPTED").asInt() == 26;
        });
        assertThat(atQuayside()).hasSize(26).allMatch(entry -> entry.get("copies")
                .equals(1));
    }

    /** The operator presses the button again and again, which must do no harm. */
    private void sleepless() {
        try {
            sendJson("POST", "/api/services/2/handovers", Map.of());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

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

    @Test
    void anEditWhileNobodyKnowsWhetherTheBatchArrivedAsksFirst() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        countersign.mishaps().failNext(Integer.MAX_VALUE);
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
        countersign.mishaps().failNext(0);
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("OZ1QAB", COUNTERSIGN, "ACCEPTED");
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HELD");
        assertThat(countersign.books()).hasSize(1);
    }

    @Test
    void anEventCallIsSignedInsideItsDatesAndHeldOutside() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        installIdentity("CU9QLZ", "2026-05-01", "2026-05-07");
        importText(contact("ZP5QXA", "station_callsign", "CU9QLZ")
                + contact("OZ1QAB", "station_callsign", "CU9QLZ").replace("20260501", "20260509"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        assertThat(countersign.books().toString()).contains("CU9QLZ ZP5QXA");
        assertThat(state("OZ1QAB", COUNTERSIGN)).isEqualTo("HELD");
        assertThat(get("/api/services/1/outlook")
                        .path("held")
                        .get(0)
                        .path("reason")
                        .asString())
                .isEqualTo("The certificate for CU9QLZ covers contacts from 2026-05-01 to 2026-05-07 only.");
    }

    @Test
    void anIdentityComesByLetterIsRenewedAndKeptAsAFile() throws Exception {
        useCountersign();
        importText(contact("ZP5QXA"));
        HttpResponse<String> asked = sendJson(
                "POST",
                "/api/services/1/requests",
                Map.of("call", "CU9QYB", "fromDay", "2015-01-01", "postalAddress", "Farol, Corvo"));
        assertThat(asked.statusCode()).as(asked.body()).isEqualTo(200);
        JsonNode request = lane(COUNTERSIGN).path("requests").get(0);
        opensslAcceptsTheRequest();
        String codePath = "/api/services/1/requests/" + request.path("id").asLong() + "/code";
        HttpResponse<String> wrong = sendJson("POST", codePath, Map.of("code", "1111-2222"));
        assertThat(wrong.body()).contains("not the code of the letter").contains("2 tries left");
        String code = countersign.enrolment().letters().get(0).code();
        sendJson("POST", codePath, Map.of("code", " " + code + " "));
        JsonNode identity = lane(COUNTERSIGN).path("identities").get(0);
        assertThat(identity.path("call").asString()).isEqualTo("CU9QYB");
        sendJson("POST", "/api/services/1/handovers", Map.of("most", 1));
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");

        countersign.enrolment().setCertificatesEnd(Instant.now().plus(Duration.ofDays(5000)));
        sendJson("POST", "/api/services/1/identities/" + identity.path("id").asLong() + "/renew", Map.of());
        assertThat(lane(COUNTERSIGN).path("identities")).hasSize(1);
        JsonNode renewed = lane(COUNTERSIGN).path("identities").get(0);
        assertThat(Instant.parse(renewed.path("certificateEnds").asString()))
                .isAfter(Instant.now().plus(Duration.ofDays(4000)));
        importText(contact("OZ1QAB"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("OZ1QAB", COUNTERSIGN, "ACCEPTED");

        String filePath = "/api/services/1/identities/" + renewed.path("id").asLong() + "/file";
        assertThat(sendJson("POST", filePath, Map.of("passphrase", "short")).body())
                .contains("at least 8 characters");
        byte[] file = http().send(
                        request(filePath)
                                .header("Content-Type", "application/json")
                                .POST(java.net.http.HttpRequest.BodyPublishers.ofString(
                                        "{\"passphrase\":\"keep it safe\"}"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(new ByteArrayInputStream(file), "keep it safe".toCharArray());
        assertThat(store.size()).isEqualTo(1);
        databaseHoldsNoSecret("keep it safe", Countersign.PASSWORD);
    }

    private void opensslAcceptsTheRequest() throws Exception {
        String line = Files.readString(folder.resolve("countersign/requests.jsonl"));
        Path pem = Files.writeString(
                folder.resolve("request.pem"),
                JSON.readTree(line).path("request").asString());
        Process openssl = new ProcessBuilder("openssl", "req", "-verify", "-noout", "-subject", "-in", pem.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(openssl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(openssl.waitFor()).as(said).isZero();
        assertThat(said).contains("CU9QYB");
    }

    private void databaseHoldsNoSecret(String... secrets) throws Exception {
        jdbc.execute("checkpoint sync");
        String home = jdbc.queryForObject("select database_path()", String.class);
        try (java.util.stream.Stream<Path> files = Files.list(Path.of(home).getParent())) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                String content = Files.readString(file, StandardCharsets.ISO_8859_1);
                for (String secret : secrets) {
                    assertThat(content.contains(secret))
                            .as(file + " holds " + secret)
                            .isFalse();
                    assertThat(content.contains(utf16(secret)))
                            .as(file + " holds " + secret)
                            .isFalse();
                }
            }
        }
    }

    private static String utf16(String text) {
        return new String(text.getBytes(StandardCharsets.UTF_16LE), StandardCharsets.ISO_8859_1);
    }

    @Test
    void anEndedCertificateIsTroubleAndMarksNothing() throws Exception {
        useCountersign();
        countersign.enrolment().setCertificatesEnd(Instant.now().minusSeconds(60));
        sendJson(
                "POST",
                "/api/services/1/requests",
                Map.of("call", "CU9QYB", "fromDay", "2015-01-01", "postalAddress", "Farol, Corvo"));
        long id = lane(COUNTERSIGN).path("requests").get(0).path("id").asLong();
        String code = countersign.enrolment().letters().get(0).code();
        sendJson("POST", "/api/services/1/requests/" + id + "/code", Map.of("code", code));
        importText(contact("ZP5QXA"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        await("trouble", () -> lane(COUNTERSIGN)
                .path("hookup")
                .path("reason")
                .asString("")
                .contains("ended on"));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("DUE");
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        assertThat(countersign.books()).hasSize(1);
    }

    @Test
    void aRevokedCertificateAndOneOfAnotherCallMarkNothing() throws Exception {
        useCountersign();
        installIdentity("CU9QLZ", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA"));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HELD");
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        awaitState("ZP5QXA", COUNTERSIGN, "DUE");
        long identity = identityOf("CU9QYB");
        assertThat(sendJson("POST", "/api/services/1/identities/" + identity + "/test", Map.of())
                        .body())
                .contains("It signs as CU9QYB");
        countersign.authority().revoke("CU9QYB");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        await("trouble", () -> lane(COUNTERSIGN)
                .path("hookup")
                .path("reason")
                .asString("")
                .contains("was revoked"));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("DUE");
        Instant next = Instant.parse(
                lane(COUNTERSIGN).path("hookup").path("nextAttempt").asString());
        assertThat(next).as("no storm").isAfter(Instant.now().plus(Duration.ofMinutes(10)));
    }

    private long identityOf(String call) {
        return lane(COUNTERSIGN)
                .path("identities")
                .valueStream()
                .filter(identity -> identity.path("call").asString().equals(call))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asLong();
    }

    @Test
    void noAnswerAndNoSettingsFileHoldsASecret() throws Exception {
        useCountersign();
        useQuayside();
        usePostbag();
        String answers = text("/api/services") + text("/api/settings") + text("/api/hookups");
        assertThat(answers)
                .contains("Countersign")
                .doesNotContain(Countersign.PASSWORD)
                .doesNotContain(Quayside.KEY)
                .doesNotContain(Postbag.PASSWORD);
    }

    @Test
    void cardsComeBackWithTheirPicturesAndWhatIsMissingIsSaidFirst() throws Exception {
        usePostbag();
        importText(contact("ZP5QXA") + contact("OZ1QAB", "rst_sent", "-07"));
        awaitState("OZ1QAB", POSTBAG, "ACCEPTED");
        awaitState("ZP5QXA", POSTBAG, "HELD");
        JsonNode held = get("/api/services/3/outlook").path("held").get(0);
        assertThat(held.path("reason").asString()).isEqualTo("Postbag needs the report sent, and it is empty.");
        assertThat(held.path("field").asString()).isEqualTo("RST_SENT");
        String ids = get("/api/services/3/held?reason="
                        + held.path("reason").asString().replace(" ", "%20"))
                .toString();
        assertThat(ids).isEqualTo("[" + idOf("ZP5QXA") + "]");
        changed(sendJson(
                "POST",
                "/api/changes/edit",
                Map.of(
                        "selection", Map.of("ids", List.of(idOf("ZP5QXA"))),
                        "changes", Map.of("RST_SENT", "-10"))));
        awaitState("ZP5QXA", POSTBAG, "ACCEPTED");

        postbag.send(theirs("OZ1QAB", "140900"), Instant.now());
        sendJson("POST", "/api/services/3/fetches", Map.of());
        awaitState("OZ1QAB", POSTBAG, "CONFIRMED");
        JsonNode card = get("/api/services/3/confirmations?picturesOnly=true").get(0);
        assertThat(card.path("remark").asString()).contains("73");
        assertThat(card.path("brings").asString()).contains("a new entity");
        HttpResponse<byte[]> picture = http().send(
                        request("/api/confirmations/" + card.path("id").asLong() + "/picture")
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(picture.headers().firstValue("Content-Type")).contains("image/png");
        postbag.setUp(false);
        assertThat(send(request("/api/confirmations/" + card.path("id").asLong() + "/picture"))
                        .statusCode())
                .as("kept here")
                .isEqualTo(200);
    }

    /** A contact as the other side logged it, seen from here. */
    private static Map<String, String> theirs(String call, String time) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("STATION_CALLSIGN", "CU9QYB");
        fields.put("CALL", call);
        fields.put("BAND", "20m");
        fields.put("MODE", "FT8");
        fields.put("QSO_DATE", "20260501");
        fields.put("TIME_ON", time);
        return fields;
    }

    @Test
    void aNearMissIsCorrectedAndTheCorrectionTakenBack() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        countersign.confirm(theirs("ZP5QXB", "140700"), Instant.now());
        countersign.confirm(theirs("OZ1QAB", "160700"), Instant.now());
        countersign.confirm(theirs("LU1QZZ", "160700"), Instant.now());
        await("news", () -> fetched() == 3);
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(3);
        JsonNode misses = get("/api/services/1/near-misses");
        JsonNode call = miss(misses, "ZP5QXB").path("guesses").get(0);
        assertThat(call.path("differences").toString()).isEqualTo("[\"CALL\"]");
        assertThat(miss(misses, "OZ1QAB")
                        .path("guesses")
                        .get(0)
                        .path("differences")
                        .toString())
                .isEqualTo("[\"HOURS\"]");
        assertThat(miss(misses, "LU1QZZ").path("guesses")).isEmpty();

        edit("ZP5QXA", Map.of("CALL", call.path("correction").path("CALL").asString()));
        assertThat(state("ZP5QXB", COUNTERSIGN)).isEqualTo("CONFIRMED");
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(2);
        long change = get("/api/changes").get(0).path("id").asLong();
        changed(sendJson("POST", "/api/changes/" + change + "/undo", Map.of()));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isNotEqualTo("CONFIRMED");
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(3);

        sendJson(
                "PUT", "/api/confirmations/" + miss(misses, "LU1QZZ").path("id").asLong(), Map.of("aside", true));
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(2);
    }

    @Test
    void anAcceptedContactCorrectedByANearMissGoesAgainBeforeItIsConfirmed() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        countersign.confirm(theirs("ZP5QXB", "140700"), Instant.now());
        await("the confirmation", () -> fetched() == 1);
        edit("ZP5QXA", Map.of("CALL", "ZP5QXB"));
        assertThat(state("ZP5QXB", COUNTERSIGN)).isEqualTo("CHANGED");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXB", COUNTERSIGN, "CONFIRMED");
        assertThat(countersign.books().toString()).contains("CU9QYB ZP5QXB");
    }

    private int fetched() {
        try {
            sendJson("POST", "/api/services/1/fetches", Map.of());
            return count("confirmation");
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static JsonNode miss(JsonNode misses, String call) {
        for (JsonNode one : misses) {
            if (one.path("call").asString().equals(call)) {
                return one;
            }
        }
        throw new AssertionError("no " + call);
    }

    @Test
    void aConfirmationThatCameBeforeItsContactFindsItLater() throws Exception {
        useCountersign();
        countersign.confirm(theirs("ZP5QXA", "140700"), Instant.parse("2019-05-01T00:00:00Z"));
        countersign.confirm(theirs("OZ1QAB", "140700"), Instant.now());
        importText(contact("LU1QZZ").replace("20260501", "20180501"));
        await("old and new ones", () -> fetched() == 2);
        assertThat(lane(COUNTERSIGN).path("unmatched").asInt()).isEqualTo(2);
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("CONFIRMED");
        assertThat(state("OZ1QAB", COUNTERSIGN)).isEqualTo("CONFIRMED");
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
        put("/api/services/pause", Map.of("paused", false));
        await("accepted", () -> lane(POSTBAG).path("counts").path("ACCEPTED").asInt() == 26);
        assertThat(postbag.books()).hasSize(26).allMatch(entry -> entry.get("copies")
                .equals(1));
    }

    @Test
    void paperCardsAreWantedPrintedSentAndReceived() throws Exception {
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        long ana = idOf("ZP5QXA");
        assertThat(sendJson("POST", "/api/cards", Map.of("contactIds", List.of(ana), "via", "MANAGER"))
                        .body())
                .contains("Whose manager?");
        sendJson("POST", "/api/cards", Map.of("contactIds", List.of(ana), "via", "MANAGER", "manager", "OZ1QMM"));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("DUE");
        assertThat(state("OZ1QAB", PAPER)).isEmpty();
        for (String sheet : new String[] {"labels", "cards"}) {
            HttpResponse<byte[]> pdf = http().send(
                            request("/api/cards/" + sheet + ".pdf?ids=" + ana).build(),
                            HttpResponse.BodyHandlers.ofByteArray());
            assertThat(new String(pdf.body(), StandardCharsets.ISO_8859_1)).startsWith("%PDF-");
        }
        sendJson("POST", "/api/cards/sent", Map.of("contactIds", List.of(ana)));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("HANDED_OVER");
        sendJson("POST", "/api/cards/taken-back", Map.of("contactIds", List.of(ana), "pile", "SENT"));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("DUE");
        sendJson("POST", "/api/cards/sent", Map.of("contactIds", List.of(ana)));
        assertThat(get("/api/cards/find?scanned=YB-" + ana).get(0).path("call").asString())
                .isEqualTo("ZP5QXA");
        sendJson("POST", "/api/cards/received", Map.of("contactIds", List.of(ana)));
        assertThat(state("ZP5QXA", PAPER)).isEqualTo("CONFIRMED");
        assertThat(get("/api/contacts/" + ana).path("journey").toString())
                .contains("to the manager OZ1QMM")
                .contains("Their card came.");
        assertThat(get("/api/cards/piles").toString()).isEqualTo("{\"toSend\":0,\"sent\":1,\"received\":1}");
    }

    @Test
    void mailThatBreaksOffThreeTimesArrivesWholeAndOnce() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        StringBuilder log = new StringBuilder();
        for (int i = 0; i < 3000; i++) {
            log.append(contact(
                            "K%dQ%c%c".formatted(i % 10, 'A' + i / 10 % 26, 'A' + i / 260 % 26),
                            "my_gridsquare",
                            "HM49KQ")
                    .replace("140700", "%02d%02d00".formatted(i / 60 % 24, i % 60)));
        }
        importText(log.toString());
        countersign.setUp(false);
        try (MailGateway gateway = new MailGateway(folder.resolve("mail"), 0, countersign::take)) {
            gateway.setBytesPerSecond(400_000);
            put("/api/mail", Map.of("address", "127.0.0.1:" + gateway.port(), "callSign", "CU9QYB"));
            JsonNode packed = JSON.readTree(
                    sendJson("POST", "/api/mail/letters", Map.of()).body());
            assertThat(packed.path("letters").get(0).path("bytes").asInt()).isGreaterThan(380_000);
            for (int drop = 0; drop < 3; drop++) {
                gateway.dropAfter(40_000);
                session("broke off");
                assertThat(lane(COUNTERSIGN).path("counts").path("HANDED_OVER").asInt())
                        .isZero();
            }
            session("All of it is with the gateway");
            assertThat(lane(COUNTERSIGN).path("counts").path("HANDED_OVER").asInt())
                    .as("handed over, not proven")
                    .isEqualTo(3000);
            assertThat(get("/api/mail").path("letters")).isEmpty();
        }
        countersign.setUp(true);
        put("/api/services/1", Map.of("account", Countersign.ACCOUNT));
        await(
                "proven",
                Duration.ofSeconds(30),
                () -> lane(COUNTERSIGN).path("counts").path("ACCEPTED").asInt() == 3000);
        assertThat(countersign.summary()).containsEntry("batches", 1).containsEntry("handedInTwice", 0L);
    }

    private void session(String ends) throws Exception {
        sendJson("POST", "/api/mail/session", Map.of());
        await("the session to end", Duration.ofSeconds(30), () -> {
            try {
                return !get("/api/mail").path("session").path("sending").asBoolean();
            } catch (Exception e) {
                throw new IllegalStateException(e);
            }
        });
        assertThat(get("/api/mail").path("session").path("sentence").asString()).contains(ends);
    }

    @Test
    void aLetterWithAnEditedContactIsPackedAnewAndNeverSentAsItWas() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA") + contact("OZ1QAB"));
        countersign.setUp(false);
        try (MailGateway gateway = new MailGateway(folder.resolve("mail"), 0, countersign::take)) {
            put("/api/mail", Map.of("address", "127.0.0.1:" + gateway.port(), "callSign", "CU9QYB"));
            sendJson("POST", "/api/mail/letters", Map.of());
            edit("ZP5QXA", Map.of("PROP_MODE", "RPT"));
            session("All of it is with the gateway");
        }
        countersign.setUp(true);
        put("/api/services/1", Map.of("account", Countersign.ACCOUNT));
        awaitState("OZ1QAB", COUNTERSIGN, "ACCEPTED");
        assertThat(countersign.books()).hasSize(1);
        assertThat(state("ZP5QXA", COUNTERSIGN)).isEqualTo("HELD");
    }
}
