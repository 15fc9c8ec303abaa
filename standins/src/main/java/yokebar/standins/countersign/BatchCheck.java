package yokebar.standins.countersign;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.bouncycastle.asn1.ASN1OctetString;
import org.bouncycastle.asn1.ASN1UTF8String;
import org.bouncycastle.cert.X509CertificateHolder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cms.CMSException;
import org.bouncycastle.cms.CMSSignedData;
import org.bouncycastle.cms.SignerInformation;
import org.bouncycastle.cms.jcajce.JcaSimpleSignerInfoVerifierBuilder;
import org.bouncycastle.operator.OperatorCreationException;

/** Opens a signed batch: is the signature good, is the signer one of ours, what does it hold. */
final class BatchCheck {
    private static final String CONTACT_DATES = "2.25.204837166215734920385114722901165";
    private static final Pattern TAG = Pattern.compile("<([A-Za-z0-9_]+)(?::(\\d+)(?::[A-Za-z])?)?>");

    /**
     * @param signedFor the call of the signer's certificate
     * @param from first instant of contacts it covers
     * @param until last instant of contacts it covers
     */
    record Opened(String signedFor, Instant from, Instant until, List<Map<String, String>> records) {}

    private BatchCheck() {}

    /** @throws IllegalArgumentException with the service's words when the batch is not acceptable */
    static Opened open(byte[] der, Authority authority) {
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
            certificate.checkValidity();
            if (!signer.verify(new JcaSimpleSignerInfoVerifierBuilder().build(certificate))) {
                throw new IllegalArgumentException("the signature does not fit the batch");
            }
            String dates = ASN1UTF8String.getInstance(
                            ASN1OctetString.getInstance(certificate.getExtensionValue(CONTACT_DATES))
                                    .getOctets())
                    .getString();
            String[] ends = dates.split("/");
            byte[] content = (byte[]) signed.getSignedContent().getContent();
            return new Opened(
                    certificate.getSubjectX500Principal().getName().replaceFirst("^CN=", ""),
                    Instant.parse(ends[0]),
                    Instant.parse(ends[1]),
                    records(content));
        } catch (CMSException | OperatorCreationException | GeneralSecurityException e) {
            throw new IllegalArgumentException("this is not a batch signed with one of our certificates", e);
        }
    }

    /** The records of strict ADIF text with lengths in bytes. */
    static List<Map<String, String>> records(byte[] adif) {
        // One char a byte, so that lengths in bytes are lengths in chars here.
        String text = new String(adif, StandardCharsets.ISO_8859_1);
        List<Map<String, String>> records = new ArrayList<>();
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher tag = TAG.matcher(text);
        int from = 0;
        while (tag.find(from)) {
            String name = tag.group(1).toUpperCase(Locale.ROOT);
            from = tag.end();
            if (name.equals("EOH")) {
                fields = new LinkedHashMap<>();
            } else if (name.equals("EOR")) {
                records.add(fields);
                fields = new LinkedHashMap<>();
            } else if (tag.group(2) != null) {
                int end = from + Integer.parseInt(tag.group(2));
                byte[] value = text.substring(from, end).getBytes(StandardCharsets.ISO_8859_1);
                fields.put(name, new String(value, StandardCharsets.UTF_8));
                from = end;
            }
        }
        return records;
    }
}
