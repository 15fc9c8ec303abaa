package yokebar.app.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;

/** Identities by letter, renewed, kept as a file, ended, revoked; and that no secret gets out. */
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
        opensslAcceptsTheCertificate(
                store.getCertificate(store.aliases().nextElement()).getEncoded());
        databaseHoldsNoSecret("keep it safe", Countersign.PASSWORD);
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
}
