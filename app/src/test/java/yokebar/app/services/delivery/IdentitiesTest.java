package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.links.services.identity.IdentityFile;
import yokebar.standins.countersign.Authority;

/** Identities by letter, renewed, kept as a file, ended, revoked. */
class IdentitiesTest extends ServiceTest {
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
        sendJson("POST", "/api/services/1/handovers", Map.of("maxContacts", 1));
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
        opensslAcceptsTheCertificate(
                store.getCertificate(store.aliases().nextElement()).getEncoded());
    }

    private void opensslAcceptsTheRequest() throws Exception {
        String line = Files.readString(folder.resolve("countersign/requests.jsonl"));
        Path pem = Files.writeString(
                folder.resolve("request.pem"),
                JSON.readTree(line).path("request").asString());
        String said = openssl("req", "-verify", "-noout", "-subject", "-in", pem.toString());
        assertThat(said).contains("CU9QYB");
    }

    private void opensslAcceptsTheCertificate(byte[] der) throws Exception {
        Path file = Files.write(folder.resolve("certificate.der"), der);
        Path pem = folder.resolve("certificate.pem");
        openssl("x509", "-inform", "DER", "-in", file.toString(), "-out", pem.toString());
        String authority = folder.resolve("countersign/authority.pem").toString();
        assertThat(openssl("verify", "-CAfile", authority, pem.toString())).contains("OK");
    }

    private static String openssl(String... words) throws Exception {
        List<String> command = new ArrayList<>(List.of("openssl"));
        command.addAll(List.of(words));
        Process openssl = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(openssl.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(openssl.waitFor()).as(said).isZero();
        return said;
    }

    @Test
    void anIdentityKnowsThePlaceOfContactsThatDoNotSayTheirs() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        HttpResponse<String> place =
                sendJson("POST", "/api/station/places", Map.of("name", "Farol", "locator", "HM49KQ"));
        long placeId = jdbc.queryForObject("select max(id) from place", long.class);
        assertThat(place.statusCode()).as(place.body()).isEqualTo(200);
        long identity = lane(COUNTERSIGN).path("identities").get(0).path("id").asLong();
        String placePath = "/api/services/1/identities/" + identity + "/place";
        assertThat(sendJson("PUT", placePath, Map.of("placeId", 4711)).body()).contains("not among your places");
        put(placePath, Map.of("placeId", placeId));
        importText(contact("ZP5QXA") + contact("OZ1QAB", "my_gridsquare", "GG14"));
        countersign.setQueueDelay(Duration.ofHours(1));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "HANDED_OVER");
        // What is signed stands in the batch as it is.
        String batch = new String(
                jdbc.queryForObject("select content from handover_content", byte[].class), StandardCharsets.ISO_8859_1);
        assertThat(batch.lines().filter(line -> line.contains("ZP5QXA"))).allMatch(line -> line.contains("HM49kq"));
        assertThat(batch.lines().filter(line -> line.contains("OZ1QAB"))).allMatch(line -> line.contains("GG14"));
        assertThat(batch).contains("ZP5QXA", "HM49kq", "OZ1QAB", "GG14");
        // Another file for the same call and dates keeps the place.
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        assertThat(lane(COUNTERSIGN).path("identities").get(0).path("placeId").asLong())
                .isEqualTo(placeId);
        put(
                "/api/services/1/identities/"
                        + lane(COUNTERSIGN).path("identities").get(0).path("id").asLong() + "/place",
                Map.of());
        sendJson("DELETE", "/api/station/places/" + placeId, "");
        assertThat(lane(COUNTERSIGN).path("identities").get(0).has("placeId")).isFalse();
    }

    @Test
    void anEndedCertificateSignsNothing() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        importText(contact("ZP5QXA"));
        awaitState("ZP5QXA", COUNTERSIGN, "DUE");
        jdbc.update(
                "update signing_identity set certificate_ends = ?",
                java.sql.Timestamp.from(Instant.now().minusSeconds(60)));
        installIdentity("CU9QLZ", "2020-01-01", "2030-01-01");
        awaitState("ZP5QXA", COUNTERSIGN, "HELD");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        assertThat(get("/api/services/1/outlook")
                        .path("held")
                        .get(0)
                        .path("reason")
                        .asString())
                .contains("CU9QYB", "signs nothing more");
        assertThat(notices()).anyMatch(notice -> notice.contains("certificate has ended"));
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        awaitState("ZP5QXA", COUNTERSIGN, "DUE");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
    }

    private List<String> notices() {
        return lane(COUNTERSIGN)
                .path("identities")
                .valueStream()
                .map(identity -> identity.path("notice").asString(""))
                .toList();
    }

    private java.net.http.HttpResponse<String> install(Instant certificateEnds) throws Exception {
        byte[] file = countersign
                .authority()
                .issue(
                        "CU9QYB",
                        Instant.parse("2020-01-01T00:00:00Z"),
                        Instant.parse("2030-01-01T00:00:00Z"),
                        certificateEnds,
                        "lamp-oil");
        return upload("/api/services/1/identities", "id.p12", file, Map.of("passphrase", "lamp-oil"));
    }

    @Test
    void anotherIdentityNeverTakesThePlaceOfABetterOneInSilence() throws Exception {
        useCountersign();
        assertThat(install(Instant.now().minusSeconds(60)).body())
                .contains("ended on")
                .contains("signs nothing more");
        assertThat(lane(COUNTERSIGN).path("identities")).isEmpty();
        install(Instant.now().plus(Duration.ofDays(900)));
        install(Instant.now().plus(Duration.ofDays(400)));
        assertThat(notices()).containsExactly("", "It signs nothing while another one for the same days ends later.");
        install(Instant.now().plus(Duration.ofDays(950)));
        assertThat(lane(COUNTERSIGN).path("identities"))
                .as("the better one replaces both")
                .hasSize(1);
        installIdentity("CU9QLZ", "2020-01-01", "2030-01-01");
        assertThat(notices()).anyMatch(notice -> notice.contains("CU9QLZ is not one of your calls"));
        byte[] foreign = Authority.keptIn(folder.resolve("another authority"), "CN=Another authority")
                .issue("CU9QYB", Instant.EPOCH, Instant.now(), "lamp-oil");
        assertThat(upload("/api/services/1/identities", "id.p12", foreign, Map.of("passphrase", "lamp-oil"))
                        .body())
                .contains("issued by CN=Another authority");
        assertThat(lane(COUNTERSIGN).path("identities")).hasSize(2);
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
        await("what else is asked to be answered", () -> complete(fetch()));
        assertThat(lane(COUNTERSIGN).path("hookup").path("reason").asString())
                .as("that confirmations come does not mean that contacts may go")
                .contains("was revoked");
        Instant next = Instant.parse(
                lane(COUNTERSIGN).path("hookup").path("nextAttempt").asString());
        assertThat(next).as("no storm").isAfter(Instant.now().plus(Duration.ofMinutes(10)));
    }

    @Test
    void whatIsStoredOfAnIdentityIsSealed() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-01-01");
        byte[] file = jdbc.queryForObject("select sealed_file from signing_identity limit 1", byte[].class);
        assertThatThrownBy(() -> IdentityFile.open(file, "lamp-oil".toCharArray()))
                .as("the stored file is not a PKCS#12 file")
                .isInstanceOf(IdentityFile.UnusableIdentity.class);
    }

    @Test
    void aWrongPassphraseIsSaid() throws Exception {
        useCountersign();
        byte[] identity = countersign.authority().issue("CU9QYB", Instant.EPOCH, Instant.now(), "right");
        var answer = upload("/api/services/1/identities", "id.p12", identity, Map.of("passphrase", "wrong"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("The passphrase does not open this file");
        var noFile = upload("/api/services/1/identities", "id.p12", new byte[] {1, 2}, Map.of("passphrase", "x"));
        assertThat(noFile.body()).contains("not a PKCS#12 identity");
    }

    private static boolean complete(JsonNode fetch) {
        return fetch.path("complete").asBoolean();
    }

    private JsonNode fetch() {
        try {
            return JSON.readTree(
                    sendJson("POST", "/api/services/1/fetches", Map.of()).body());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
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
    void whatIsWrongWithARequestIsSaidAtItsFieldAndARequestCanBeGivenUp() throws Exception {
        Map<String, String> right = Map.of("call", "CU9QYB", "fromDay", "2015-01-01", "postalAddress", "Farol, Corvo");
        assertThat(ask(right)).contains("Save the account first");
        useCountersign();
        assertThat(ask(with(right, "call", "!!"))).contains("cannot be a call");
        assertThat(ask(with(right, "fromDay", "May"))).contains("is not a date; write it as 2026-05-01");
        assertThat(ask(with(right, "untilDay", "2014-12-31"))).contains("The last day lies before the first one.");
        assertThat(ask(with(right, "postalAddress", " "))).contains("Where shall the letter with the code go?");
        assertThat(lane(COUNTERSIGN).path("requests")).isEmpty();
        countersign.setUp(false);
        assertThat(ask(right)).contains("cannot be reached");
        countersign.setUp(true);
        ask(right);
        JsonNode request = lane(COUNTERSIGN).path("requests").get(0);
        String path = "/api/services/1/requests/" + request.path("id").asLong();
        send(request(path).DELETE());
        assertThat(lane(COUNTERSIGN).path("requests")).isEmpty();
        assertThat(sendJson("POST", path + "/code", Map.of("code", "1111-2222")).body())
                .contains("not waiting any more");
    }

    @Test
    void anIdentityTakenAwaySignsNoMore() throws Exception {
        useCountersign();
        installIdentity("CU9QYB", "2020-01-01", "2030-12-31");
        importText(contact("ZP5QXA"));
        awaitState("ZP5QXA", COUNTERSIGN, "DUE");
        String path = "/api/services/1/identities/"
                + lane(COUNTERSIGN).path("identities").get(0).path("id").asLong();
        assertThat(sendJson("POST", path + "/test", Map.of()).body()).contains("It signs as CU9QYB");
        send(request(path).DELETE());
        awaitState("ZP5QXA", COUNTERSIGN, "HELD");
        sendJson("POST", "/api/services/1/handovers", Map.of());
        assertThat(countersign.books()).isEmpty();
        installIdentity("CU9QYB", "2020-01-01", "2030-12-31");
        awaitState("ZP5QXA", COUNTERSIGN, "DUE");
    }

    private String ask(Map<String, String> wish) throws Exception {
        return sendJson("POST", "/api/services/1/requests", wish).body();
    }

    private static Map<String, String> with(Map<String, String> wish, String field, String value) {
        Map<String, String> other = new HashMap<>(wish);
        other.put(field, value);
        return other;
    }
}
