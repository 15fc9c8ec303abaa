package yokebar.links.services.identity;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.Signature;
import java.security.cert.Certificate;
import java.security.cert.CertificateException;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.security.spec.PKCS8EncodedKeySpec;
import java.util.Base64;
import org.bouncycastle.asn1.x500.X500NameBuilder;
import org.bouncycastle.asn1.x500.style.BCStyle;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.pkcs.PKCS10CertificationRequest;
import org.bouncycastle.pkcs.jcajce.JcaPKCS10CertificationRequestBuilder;
import yokebar.core.basics.call.Call;

/**
 * Requests for certificates (PKCS#10, RFC 2986): a fresh key on the curve P-256 that never leaves this station, and its public
 * half with the call as the subject's common name. {@code openssl req -verify} accepts them.
 */
public final class CertificateRequest {
    private static final String ALGORITHM = "SHA256withECDSA";

    private CertificateRequest() {}

    /**
     * A request that waits for its certificate.
     *
     * @param privateKey PKCS#8; a secret
     * @param request PKCS#10, DER
     */
    public record Pending(byte[] privateKey, byte[] request) {

        /** The request as PEM text. */
        public String pem() {
            return "-----BEGIN CERTIFICATE REQUEST-----\n"
                    + Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(request)
                    + "\n-----END CERTIFICATE REQUEST-----\n";
        }

        /** Never the key. */
        @Override
        public String toString() {
            return "Pending[" + request.length + " bytes]";
        }
    }

    public static Pending make(Call call) throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        KeyPair pair = generator.generateKeyPair();
        try {
            PKCS10CertificationRequest request = new JcaPKCS10CertificationRequestBuilder(
                            new X500NameBuilder(BCStyle.INSTANCE)
                                    .addRDN(BCStyle.CN, call.text())
                                    .build(),
                            pair.getPublic())
                    .build(new JcaContentSignerBuilder(ALGORITHM).build(pair.getPrivate()));
            return new Pending(pair.getPrivate().getEncoded(), request.getEncoded());
        } catch (OperatorCreationException | IOException e) {
            throw new GeneralSecurityException("a request for " + call + " could not be made", e);
        }
    }

    /**
     * The identity, now that the certificate is there.
     *
     * @param privateKey PKCS#8
     * @param certificatePem the certificate, perhaps with those of its issuers behind it
     * @param passphrase to protect the file with
     * @return PKCS#12
     * @throws IdentityFile.UnusableIdentity when the certificate is none, or of another key
     */
    public static byte[] identity(byte[] privateKey, String certificatePem, char[] passphrase)
            throws IdentityFile.UnusableIdentity {
        try {
            PrivateKey key = KeyFactory.getInstance("EC").generatePrivate(new PKCS8EncodedKeySpec(privateKey));
            Certificate[] chain = CertificateFactory.getInstance("X.509")
                    .generateCertificates(new ByteArrayInputStream(certificatePem.getBytes(StandardCharsets.US_ASCII)))
                    .toArray(Certificate[]::new);
            if (chain.length == 0 || !belongTogether(key, (X509Certificate) chain[0])) {
                throw new IdentityFile.UnusableIdentity(
                        "The received certificate is not for the key of this request. Request a new one.");
            }
            return pack(key, chain, passphrase);
        } catch (CertificateException e) {
            throw new IdentityFile.UnusableIdentity("The answer is not a certificate.", e);
        } catch (GeneralSecurityException | IOException e) {
            throw new IdentityFile.UnusableIdentity("The identity cannot be made: " + e.getMessage() + ".", e);
        }
    }

    /** An identity as a file of its own, protected by another passphrase. */
    public static byte[] export(SigningKey key, char[] passphrase) throws GeneralSecurityException {
        try {
            return pack(key.privateKey(), new Certificate[] {key.certificate()}, passphrase);
        } catch (IOException e) {
            throw new GeneralSecurityException("the identity could not be written", e);
        }
    }

    /** Whether the key signs what its certificate verifies. */
    public static boolean signs(SigningKey key) throws GeneralSecurityException {
        return belongTogether(key.privateKey(), key.certificate());
    }

    private static byte[] pack(PrivateKey key, Certificate[] chain, char[] passphrase)
            throws GeneralSecurityException, IOException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, null);
        store.setKeyEntry("identity", key, passphrase, chain);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        store.store(out, passphrase);
        return out.toByteArray();
    }

    private static boolean belongTogether(PrivateKey key, X509Certificate certificate) throws GeneralSecurityException {
        byte[] probe = "yokebar".getBytes(StandardCharsets.US_ASCII);
        if (!certificate.getPublicKey().getAlgorithm().equals(key.getAlgorithm())) {
            return false;
        }
        Signature signature = Signature.getInstance(SignedBatch.algorithm(key));
        signature.initSign(key);
        signature.update(probe);
        byte[] signed = signature.sign();
        signature.initVerify(certificate);
        signature.update(probe);
        return signature.verify(signed);
    }
}
