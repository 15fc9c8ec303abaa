package yokebar.links.services.identity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Date;
import org.bouncycastle.asn1.ASN1ObjectIdentifier;
import org.bouncycastle.asn1.DERUTF8String;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.cms.CMSSignedData;
import org.bouncycastle.cms.SignerInformation;
import org.bouncycastle.cms.jcajce.JcaSimpleSignerInfoVerifierBuilder;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.basics.call.Call;

class IdentityFileTest {
    private static final String WEEK = "2026-05-01T00:00:00Z/2026-05-07T23:59:59Z";

    @Test
    void theCallAndTheDatesOfContactsStandInTheCertificate() throws Exception {
        SigningKey key = IdentityFile.open(file("EC", "CN=CU9QLZ", WEEK), "lamp".toCharArray());
        assertThat(key.identity().call()).isEqualTo(new Call("CU9QLZ"));
        assertThat(key.identity().covers(new Call("CU9QLZ"), Instant.parse("2026-05-07T23:59:59Z")))
                .isTrue();
        assertThat(key.identity().covers(new Call("CU9QLZ"), Instant.parse("2026-05-08T00:00:00Z")))
                .isFalse();
        assertThat(key.identity().covers(new Call("CU9QYB"), Instant.parse("2026-05-02T00:00:00Z")))
                .isFalse();
        assertThat(key.toString()).doesNotContain("PRIVATE").contains("CU9QLZ");
    }

    @Test
    void withoutDatesTheCertificatesOwnValidityCounts() throws Exception {
        SigningKey key = IdentityFile.open(file("EC", "CN=CU9QYB", null), "lamp".toCharArray());
        assertThat(key.identity().covers(new Call("CU9QYB"), Instant.now())).isTrue();
        assertThat(key.identity().covers(new Call("CU9QYB"), Instant.now().plus(400, ChronoUnit.DAYS)))
                .isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"EC", "RSA"})
    void aSignedBatchVerifiesAndGivesItsContentBack(String algorithm) throws Exception {
        SigningKey key = IdentityFile.open(file(algorithm, "CN=CU9QYB", WEEK), "lamp".toCharArray());
        byte[] content = "<CALL:6>ZP5QXA <EOR>".getBytes(StandardCharsets.UTF_8);
        CMSSignedData signed = new CMSSignedData(SignedBatch.sign(content, key));
        SignerInformation signer =
                signed.getSignerInfos().getSigners().iterator().next();
        assertThat(signer.verify(new JcaSimpleSignerInfoVerifierBuilder().build(key.certificate())))
                .isTrue();
        assertThat((byte[]) signed.getSignedContent().getContent()).isEqualTo(content);
        assertThat(CertificateRequest.signs(key)).isTrue();
    }

    @Test
    void saysWhatIsWrongWithAFile() throws Exception {
        byte[] good = file("EC", "CN=CU9QYB", WEEK);
        assertThatThrownBy(() -> IdentityFile.open(good, "wrong".toCharArray()))
                .hasMessageContaining("passphrase does not open")
                .hasMessageContaining("not an account's password");
        assertThatThrownBy(() -> IdentityFile.open(new byte[] {1, 2, 3}, "lamp".toCharArray()))
                .hasMessageContaining("not a PKCS#12 identity");
        assertThatThrownBy(() -> IdentityFile.open(file("EC", "CN=Somebody Else", WEEK), "lamp".toCharArray()))
                .hasMessageContaining("Somebody Else");
        assertThatThrownBy(() -> IdentityFile.open(file("EC", "CN=CU9QYB", "sometime"), "lamp".toCharArray()))
                .hasMessageContaining("which contacts it covers");
        assertThatThrownBy(() -> IdentityFile.open(
                        file("EC", "CN=CU9QYB", "2026-05-07T00:00:00Z/2026-05-01T00:00:00Z"), "lamp".toCharArray()))
                .hasMessageContaining("from 2026-05-07 until 2026-05-01, which is earlier");
        assertThatThrownBy(() -> IdentityFile.open(anothersKey(), "lamp".toCharArray()))
                .hasMessageContaining("not the one of its certificate");
        assertThatThrownBy(() -> IdentityFile.open(emptyFile(), "lamp".toCharArray()))
                .hasMessageContaining("no private key");
    }

    private static byte[] file(String algorithm, String subject, String contactDates) throws Exception {
        KeyPairGenerator generator = KeyPairGenerator.getInstance(algorithm);
        generator.initialize(algorithm.equals("EC") ? 256 : 2048);
        KeyPair pair = generator.generateKeyPair();
        Instant now = Instant.now();
        X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                new X500Name("CN=Test"),
                BigInteger.TEN,
                Date.from(now.minus(1, ChronoUnit.DAYS)),
                Date.from(now.plus(365, ChronoUnit.DAYS)),
                new X500Name(subject),
                pair.getPublic());
        if (contactDates != null) {
            builder.addExtension(
                    new ASN1ObjectIdentifier(IdentityFile.CONTACT_DATES), false, new DERUTF8String(contactDates));
        }
        String signature = algorithm.equals("EC") ? "SHA256withECDSA" : "SHA256withRSA";
        X509Certificate certificate = new JcaX509CertificateConverter()
                .getCertificate(builder.build(new JcaContentSignerBuilder(signature).build(pair.getPrivate())));
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, null);
        store.setKeyEntry("id", pair.getPrivate(), "lamp".toCharArray(), new Certificate[] {certificate});
        return bytes(store);
    }

    private static byte[] anothersKey() throws Exception {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(new ByteArrayInputStream(file("EC", "CN=CU9QYB", WEEK)), "lamp".toCharArray());
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        KeyStore other = KeyStore.getInstance("PKCS12");
        other.load(null, null);
        other.setKeyEntry(
                "id", generator.generateKeyPair().getPrivate(), "lamp".toCharArray(), store.getCertificateChain("id"));
        return bytes(other);
    }

    private static byte[] emptyFile() throws Exception {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, null);
        return bytes(store);
    }

    private static byte[] bytes(KeyStore store) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        store.store(out, "lamp".toCharArray());
        return out.toByteArray();
    }
}
