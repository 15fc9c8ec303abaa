package yokebar.links.services.identity;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.UnrecoverableKeyException;
import java.security.cert.X509Certificate;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.Collections;
import javax.naming.InvalidNameException;
import javax.naming.ldap.LdapName;
import javax.naming.ldap.Rdn;
import org.bouncycastle.asn1.ASN1OctetString;
import org.bouncycastle.asn1.ASN1UTF8String;
import yokebar.core.basics.call.Call;
import yokebar.core.services.delivery.SigningIdentity;

/**
 * Opens PKCS#12 identity files. The call is the common name of the certificate's subject; the dates of contacts it covers
 * stand in the extension {@link #CONTACT_DATES} as {@code start/end} in ISO 8601, because a certificate for an event of one
 * week must still be able to sign those contacts afterwards. Without the extension the certificate's own validity counts.
 */
public final class IdentityFile {
    /** An OID under the UUID arc, free for anyone to use (ITU-T X.667). */
    public static final String CONTACT_DATES = "2.25.204837166215734920385114722901165";

    private IdentityFile() {}

    /** Why an identity file was not accepted, as one sentence for the operator. */
    public static final class UnusableIdentity extends Exception {
        private static final long serialVersionUID = 1L;

        UnusableIdentity(String sentence, Throwable cause) {
            super(sentence, cause);
        }

        UnusableIdentity(String sentence) {
            super(sentence);
        }
    }

    /** @param passphrase of the file, not of any account */
    public static SigningKey open(byte[] pkcs12, char[] passphrase) throws UnusableIdentity {
        try {
            KeyStore store = KeyStore.getInstance("PKCS12");
            store.load(new ByteArrayInputStream(pkcs12), passphrase);
            for (String alias : Collections.list(store.aliases())) {
                if (store.getKey(alias, passphrase) instanceof PrivateKey key
                        && store.getCertificate(alias) instanceof X509Certificate certificate) {
                    SigningKey opened = new SigningKey(identity(certificate), key, certificate);
                    if (!CertificateRequest.signs(opened)) {
                        throw new UnusableIdentity(
                                "The key in the file is not the one of its certificate; export the whole identity again.");
                    }
                    return opened;
                }
            }
            throw new UnusableIdentity("The file holds no private key with a certificate; export the whole identity.");
        } catch (IOException e) {
            throw new UnusableIdentity(
                    e.getCause() instanceof UnrecoverableKeyException
                            ? "The passphrase does not open this file. It is the one given when the identity was exported, not an account's password."
                            : "The file is not a PKCS#12 identity (usually named .p12 or .pfx).",
                    e);
        } catch (GeneralSecurityException e) {
            throw new UnusableIdentity("The identity cannot be read: " + e.getMessage() + ".", e);
        }
    }

    private static SigningIdentity identity(X509Certificate certificate) throws UnusableIdentity {
        String name = commonName(certificate);
        Call call = Call.read(name);
        if (call == null) {
            throw new UnusableIdentity("The certificate is made out to \"" + name + "\", which cannot be a call.");
        }
        Instant ends = certificate.getNotAfter().toInstant();
        byte[] extension = certificate.getExtensionValue(CONTACT_DATES);
        if (extension == null) {
            return ordered(new SigningIdentity(call, certificate.getNotBefore().toInstant(), ends, ends));
        }
        try {
            String dates = ASN1UTF8String.getInstance(
                            ASN1OctetString.getInstance(extension).getOctets())
                    .getString();
            String[] days = dates.split("/", 2);
            return ordered(new SigningIdentity(call, Instant.parse(days[0]), Instant.parse(days[1]), ends));
        } catch (IllegalArgumentException | DateTimeException | ArrayIndexOutOfBoundsException e) {
            throw new UnusableIdentity("The certificate does not say which contacts it covers; ask for a new one.", e);
        }
    }

    private static SigningIdentity ordered(SigningIdentity identity) throws UnusableIdentity {
        if (identity.validUntil().isBefore(identity.validFrom())) {
            throw new UnusableIdentity("The certificate covers contacts from "
                    + identity.validFrom().toString().substring(0, 10) + " until "
                    + identity.validUntil().toString().substring(0, 10) + ", which is earlier; ask for a new one.");
        }
        return identity;
    }

    private static String commonName(X509Certificate certificate) {
        try {
            for (Rdn part : new LdapName(certificate.getSubjectX500Principal().getName()).getRdns()) {
                if (part.getType().equalsIgnoreCase("CN")) {
                    return part.getValue().toString();
                }
            }
        } catch (InvalidNameException e) {
            return "";
        }
        return "";
    }
}
