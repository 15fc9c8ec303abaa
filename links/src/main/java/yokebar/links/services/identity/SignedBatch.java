package yokebar.links.services.identity;

import java.io.IOException;
import java.security.GeneralSecurityException;
import java.security.PrivateKey;
import java.util.List;
import org.bouncycastle.cert.jcajce.JcaCertStore;
import org.bouncycastle.cms.CMSException;
import org.bouncycastle.cms.CMSProcessableByteArray;
import org.bouncycastle.cms.CMSSignedDataGenerator;
import org.bouncycastle.cms.jcajce.JcaSignerInfoGeneratorBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.operator.jcajce.JcaDigestCalculatorProviderBuilder;

/**
 * CMS signed data (RFC 5652) with the content and the signer's certificate inside, in DER. {@code openssl cms -verify
 * -inform DER} accepts it against the issuer's certificate.
 */
public final class SignedBatch {
    private SignedBatch() {}

    /** @throws GeneralSecurityException when the key cannot sign */
    public static byte[] sign(byte[] content, SigningKey key) throws GeneralSecurityException {
        try {
            CMSSignedDataGenerator generator = new CMSSignedDataGenerator();
            generator.addSignerInfoGenerator(
                    new JcaSignerInfoGeneratorBuilder(new JcaDigestCalculatorProviderBuilder().build())
                            .build(
                                    new JcaContentSignerBuilder(algorithm(key.privateKey())).build(key.privateKey()),
                                    key.certificate()));
            generator.addCertificates(new JcaCertStore(List.of(key.certificate())));
            return generator
                    .generate(new CMSProcessableByteArray(content), true)
                    .getEncoded("DER");
        } catch (OperatorCreationException | CMSException | IOException e) {
            throw new GeneralSecurityException("signing for " + key.identity().call() + " failed", e);
        }
    }

    static String algorithm(PrivateKey key) {
        return key.getAlgorithm().equals("EC") ? "SHA256withECDSA" : "SHA256withRSA";
    }
}
