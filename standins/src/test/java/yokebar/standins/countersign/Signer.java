package yokebar.standins.countersign;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.List;
import org.bouncycastle.cert.jcajce.JcaCertStore;
import org.bouncycastle.cms.CMSProcessableByteArray;
import org.bouncycastle.cms.CMSSignedDataGenerator;
import org.bouncycastle.cms.jcajce.JcaSimpleSignerInfoGeneratorBuilder;

/** Somebody with an identity of the service, who signs as its protocol wants it. */
record Signer(PrivateKey key, X509Certificate certificate) {
    private static final Instant FROM = Instant.parse("2020-01-01T00:00:00Z");
    private static final Instant UNTIL = Instant.parse("2030-01-01T00:00:00Z");

    /** With an identity that covers the contacts of ten years. */
    static Signer of(Authority authority, String call) throws Exception {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(new ByteArrayInputStream(authority.issue(call, FROM, UNTIL, "lamp")), "lamp".toCharArray());
        return new Signer(
                (PrivateKey) store.getKey(call, "lamp".toCharArray()), (X509Certificate) store.getCertificate(call));
    }

    byte[] sign(String content) throws Exception {
        return sign(content.getBytes(StandardCharsets.UTF_8));
    }

    byte[] sign(byte[] content) throws Exception {
        CMSSignedDataGenerator generator = new CMSSignedDataGenerator();
        generator.addSignerInfoGenerator(
                new JcaSimpleSignerInfoGeneratorBuilder().build("SHA256withECDSA", key, certificate));
        generator.addCertificates(new JcaCertStore(List.of(certificate)));
        return generator.generate(new CMSProcessableByteArray(content), true).getEncoded();
    }
}
