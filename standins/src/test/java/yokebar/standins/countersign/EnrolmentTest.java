package yokebar.standins.countersign;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.file.Path;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.Base64;
import java.util.Map;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.pkcs.jcajce.JcaPKCS10CertificationRequestBuilder;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.Asking;
import yokebar.standins.Asking.Answered;
import yokebar.standins.MovingClock;
import yokebar.standins.world.World;

/** How one comes to a certificate, and to the next one. */
class EnrolmentTest {
    @TempDir
    private Path folder;

    private Countersign countersign;
    private Asking client;
    private KeyPair pair;

    @BeforeEach
    void open() throws Exception {
        countersign = new Countersign(new World(5), new MovingClock(), folder, 0);
        client = Asking.at(countersign.address()).as(Countersign.ACCOUNT, Countersign.PASSWORD);
        pair = pair();
    }

    @AfterEach
    void close() {
        countersign.close();
    }

    private static KeyPair pair() throws Exception {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(256);
        return generator.generateKeyPair();
    }

    private static byte[] request(String call, KeyPair of, KeyPair signedWith) throws Exception {
        return new JcaPKCS10CertificationRequestBuilder(new X500Name("CN=" + call), of.getPublic())
                .build(new JcaContentSignerBuilder("SHA256withECDSA").build(signedWith.getPrivate()))
                .getEncoded();
    }

    private Answered ask(byte[] request, String address) throws Exception {
        String pem = "-----BEGIN CERTIFICATE REQUEST-----\n"
                + Base64.getMimeEncoder().encodeToString(request) + "\n-----END CERTIFICATE REQUEST-----\n";
        return client.post(
                "api/requests",
                Map.of(
                        "request",
                        pem,
                        "contactsFrom",
                        "2026-01-01T00:00:00Z",
                        "contactsUntil",
                        "2026-12-31T23:59:59Z",
                        "address",
                        address));
    }

    private static X509Certificate certificate(Answered answered) throws Exception {
        byte[] pem = answered.json().path("certificate").asString().getBytes();
        return (X509Certificate)
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(pem));
    }

    @Test
    void theCodeOfTheLetterBringsTheCertificate() throws Exception {
        Answered asked = ask(request("CU9QYB", pair, pair), "Rua do Farol 1");
        assertThat(asked.status()).isEqualTo(202);
        Enrolment.Letter letter = countersign.enrolment().letters().get(0);
        assertThat(letter.address()).isEqualTo("Rua do Farol 1");
        assertThat(letter.number()).isEqualTo(asked.json().path("number").asString());

        X509Certificate certificate =
                certificate(client.post("api/requests/" + letter.number() + "/code", Map.of("code", letter.code())));
        certificate.verify(countersign.authority().certificate().getPublicKey());
        assertThat(certificate.getPublicKey()).isEqualTo(pair.getPublic());
        assertThat(certificate.getSubjectX500Principal().getName()).isEqualTo("CN=CU9QYB");

        byte[] batch = new Signer(pair.getPrivate(), certificate).sign(Asking.contact("ZP5QXA"));
        BatchCheck.Opened opened = BatchCheck.open(batch, countersign.authority());
        assertThat(opened.from()).isEqualTo(Instant.parse("2026-01-01T00:00:00Z"));
        assertThat(opened.until()).isEqualTo(Instant.parse("2026-12-31T23:59:59Z"));
        assertThat(opened.records()).hasSize(1);
    }

    @Test
    void threeWrongCodesAreTooMany() throws Exception {
        ask(request("CU9QYB", pair, pair), "Rua do Farol 1");
        Enrolment.Letter letter = countersign.enrolment().letters().get(0);
        String place = "api/requests/" + letter.number() + "/code";
        assertThat(client.post(place, Map.of("code", "no")).words()).contains("2 tries left");
        assertThat(client.post(place, Map.of("code", "no")).words()).contains("1 tries left");
        assertThat(client.post(place, Map.of("code", "no")).words()).contains("0 tries left");
        assertThat(client.post(place, Map.of("code", letter.code())).words()).contains("wrong too often");
        assertThat(client.post("api/requests/RQ-9999/code", Map.of("code", "x")).status())
                .isEqualTo(404);
    }

    @Test
    void aRequestMustBeSignedWithItsOwnKeyAndHaveSomewhereForTheLetter() throws Exception {
        assertThat(ask(request("CU9QYB", pair, pair()), "Rua do Farol 1").words())
                .contains("not signed with its own key");
        assertThat(ask(request("CU9QYB", pair, pair), " ").words()).contains("postal address");
        assertThat(ask("no request".getBytes(), "Rua do Farol 1").status()).isGreaterThanOrEqualTo(400);
        assertThat(countersign.enrolment().letters()).isEmpty();
    }

    @Test
    void aRequestOutlivesARestart() throws Exception {
        ask(request("CU9QYB", pair, pair), "Rua do Farol 1");
        Enrolment.Letter letter = countersign.enrolment().letters().get(0);
        countersign.close();
        countersign = new Countersign(new World(5), new MovingClock(), folder, 0);
        client = Asking.at(countersign.address()).as(Countersign.ACCOUNT, Countersign.PASSWORD);
        assertThat(client.post("api/requests/" + letter.number() + "/code", Map.of("code", letter.code()))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void theIdentityRenewsItselfForItsOwnCallOnly() throws Exception {
        Signer signer = Signer.of(countersign.authority(), "CU9QYB");
        KeyPair next = pair();
        Instant end = Instant.now().plusSeconds(86_400).truncatedTo(java.time.temporal.ChronoUnit.SECONDS);
        countersign.enrolment().setCertificatesEnd(end);
        X509Certificate renewed =
                certificate(client.send("POST", "api/renewals", signer.sign(request("CU9QYB", next, next))));
        assertThat(renewed.getPublicKey()).isEqualTo(next.getPublic());
        assertThat(renewed.getNotAfter().toInstant()).isEqualTo(end);
        assertThat(client.send("POST", "api/renewals", signer.sign(request("CU9QYC", next, next)))
                        .words())
                .contains("for another call");
    }

    @Test
    void aCertificateThatHasEndedSignsNothingMore() throws Exception {
        X509Certificate ended = countersign
                .authority()
                .certify(
                        "CU9QYB",
                        pair.getPublic(),
                        Instant.EPOCH,
                        Instant.now(),
                        Instant.now().minusSeconds(60));
        Answered answered = client.with("Idempotency-Key", "k")
                .send("POST", "api/batches", new Signer(pair.getPrivate(), ended).sign(Asking.contact("ZP5QXA")));
        assertThat(answered.status()).isEqualTo(403);
        assertThat(answered.words()).startsWith("the certificate ended on");
    }
}
