package yokebar.standins.countersign;

import java.security.GeneralSecurityException;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Map;
import org.bouncycastle.asn1.ASN1OctetString;
import org.bouncycastle.asn1.ASN1UTF8String;
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cms.CMSException;
import org.bouncycastle.cms.CMSSignedData;
import org.bouncycastle.cms.SignerInformation;
import org.bouncycastle.cms.jcajce.JcaSimpleSignerInfoVerifierBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import yokebar.standins.adif.AdifText;

/** Opens a signed batch: is the signature good, is the signer one of ours, what does it hold. */
final class BatchCheck {
    private static final String CONTACT_DATES = "2.25.204837166215734920385114722901165";

    /**
     * @param signedFor the call of the signer's certificate
     * @param from first instant of contacts it covers
     * @param until last instant of contacts it covers
     */
    record Opened(String signedFor, Instant from, Instant until, List<Map<String, String>> records) {}

    private BatchCheck() {}

    /** The batch may be fine, but its signer may not hand it in. */
    static final class Forbidden extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;

        Forbidden(String words) {
            super(words);
        }
    }

    /**
     * What was signed.
     *
     * @param content as it was signed
     */
    record Signed(String signedFor, Instant from, Instant until, byte[] content) {}

    /** @throws IllegalArgumentException with the service's words when the batch is not acceptable */
    static Opened open(byte[] der, Authority authority) {
        Signed signed = signed(der, authority);
        return new Opened(signed.signedFor(), signed.from(), signed.until(), AdifText.records(signed.content()));
    }

    /** @throws IllegalArgumentException with the service's words when it is not signed by one of ours */
    static Signed signed(byte[] der, Authority authority) {
        try {
            CMSSignedData signed = new CMSSignedData(der);
            SignerInformation signer =
                    signed.getSignerInfos().getSigners().iterator().next();
            @SuppressWarnings("unchecked")
            X509CertificateHolder holder = (X509CertificateHolder) signed.getCertificates()
                    .getMatches(signer.getSID())
                    .iterator()
                    .next();
            X509Certificate certificate = new JcaX509CertificateConverter().getCertificate(holder);
            certificate.verify(authority.certificate().getPublicKey());
            if (certificate.getNotAfter().before(new Date())) {
                throw new Forbidden("the certificate ended on "
                        + certificate.getNotAfter().toInstant().toString().substring(0, 10));
            }
            if (authority.revoked(certificate)) {
                throw new Forbidden("the certificate was revoked");
            }
            if (!signer.verify(new JcaSimpleSignerInfoVerifierBuilder().build(certificate.getPublicKey()))) {
                throw new IllegalArgumentException("the signature does not fit the batch");
            }
            String dates = ASN1UTF8String.getInstance(
                            ASN1OctetString.getInstance(certificate.getExtensionValue(CONTACT_DATES))
                                    .getOctets())
                    .getString();
            String[] ends = dates.split("/");
            return new Signed(
                    certificate.getSubjectX500Principal().getName().replaceFirst("^CN=", ""),
                    Instant.parse(ends[0]),
                    Instant.parse(ends[1]),
                    (byte[]) signed.getSignedContent().getContent());
        } catch (CMSException | OperatorCreationException | GeneralSecurityException e) {
            throw new IllegalArgumentException("this is not a batch signed with one of our certificates", e);
        }
    }
}
