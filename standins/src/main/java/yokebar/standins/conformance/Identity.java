package yokebar.standins.conformance;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.util.Base64;
import java.util.List;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.cert.jcajce.JcaCertStore;
import org.bouncycastle.cms.CMSException;
import org.bouncycastle.cms.CMSProcessableByteArray;
import org.bouncycastle.cms.CMSSignedDataGenerator;
import org.bouncycastle.cms.jcajce.JcaSimpleSignerInfoGeneratorBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.pkcs.PKCS10CertificationRequest;
import org.bouncycastle.pkcs.jcajce.JcaPKCS10CertificationRequestBuilder;

/** A certificate the service has issued, with its key; what is tried with it is signed for its call. */
record Identity(PrivateKey key, X509Certificate certificate) {

    /** @throws IOException when it is not a PKCS#12 file, or the passphrase does not open it */
    static Identity read(Path file, String passphrase) throws IOException, GeneralSecurityException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        char[] secret = passphrase.toCharArray();
        try (InputStream in = Files.newInputStream(file)) {
            store.load(in, secret);
        }
        String alias = store.aliases().nextElement();
        return new Identity((PrivateKey) store.getKey(alias, secret), (X509Certificate) store.getCertificate(alias));
    }

    /** The call it stands for. */
    String call() {
        return certificate.getSubjectX500Principal().getName().replaceFirst("^CN=", "");
    }

    /** The content as CMS signed data in DER, with content and certificate inside. */
    byte[] signed(byte[] content) throws GeneralSecurityException, IOException {
        try {
            String algorithm = key.getAlgorithm().equals("RSA") ? "SHA256withRSA" : "SHA256withECDSA";
            CMSSignedDataGenerator generator = new CMSSignedDataGenerator();
            generator.addSignerInfoGenerator(
                    new JcaSimpleSignerInfoGeneratorBuilder().build(algorithm, key, certificate));
            generator.addCertificates(new JcaCertStore(List.of(certificate)));
            return generator
                    .generate(new CMSProcessableByteArray(content), true)
                    .getEncoded();
        } catch (CMSException | OperatorCreationException e) {
            throw new GeneralSecurityException(e);
        }
    }

    /** A request for a certificate, with a new key on the curve P-256. */
    static PKCS10CertificationRequest newRequest(String call) throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        KeyPair pair = generator.generateKeyPair();
        try {
            return new JcaPKCS10CertificationRequestBuilder(new X500Name("CN=" + call), pair.getPublic())
                    .build(new JcaContentSignerBuilder("SHA256withECDSA").build(pair.getPrivate()));
        } catch (OperatorCreationException e) {
            throw new GeneralSecurityException(e);
        }
    }

    static String pem(PKCS10CertificationRequest request) throws IOException {
        String body = Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(request.getEncoded());
        return "-----BEGIN CERTIFICATE REQUEST-----\n" + body + "\n-----END CERTIFICATE REQUEST-----\n";
    }
}
