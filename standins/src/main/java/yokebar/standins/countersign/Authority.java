package yokebar.standins.countersign;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.Date;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.bouncycastle.asn1.ASN1ObjectIdentifier;
import org.bouncycastle.asn1.DERUTF8String;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/** The service's certificate authority: makes its root once, keeps it in a file, and issues identities for calls. */
public final class Authority {
    private static final ASN1ObjectIdentifier CONTACT_DATES =
            new ASN1ObjectIdentifier("2.25.204837166215734920385114722901165");
    private static final char[] FILE_PASSPHRASE = "stand-in".toCharArray();
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final String NAME = "CN=Countersign stand-in authority,O=Countersign";

    private final PrivateKey key;
    private final X509Certificate certificate;
    private final Set<String> revoked = ConcurrentHashMap.newKeySet();

    private Authority(PrivateKey key, X509Certificate certificate) {
        this.key = key;
        this.certificate = certificate;
    }

    /** Reads the authority kept in the folder, or makes one and keeps it there, with its certificate beside it as PEM. */
    public static Authority keptIn(Path folder) throws IOException, GeneralSecurityException {
        return keptIn(folder, NAME);
    }

    /** @param name of a new authority, RFC 4514 */
    public static Authority keptIn(Path folder, String name) throws IOException, GeneralSecurityException {
        Path file = folder.resolve("authority.p12");
        KeyStore store = KeyStore.getInstance("PKCS12");
        if (Files.exists(file)) {
            try (InputStream in = Files.newInputStream(file)) {
                store.load(in, FILE_PASSPHRASE);
            }
        } else {
            KeyPair pair = newKeyPair();
            store.load(null, null);
            store.setKeyEntry("authority", pair.getPrivate(), FILE_PASSPHRASE, new Certificate[] {root(pair, name)});
            Files.createDirectories(folder);
            try (OutputStream out = Files.newOutputStream(file)) {
                store.store(out, FILE_PASSPHRASE);
            }
        }
        Authority authority = new Authority((PrivateKey) store.getKey("authority", FILE_PASSPHRASE), (X509Certificate)
                store.getCertificate("authority"));
        Files.writeString(folder.resolve("authority.pem"), authority.pem());
        return authority;
    }

    /** From now on certificates for this call are worth nothing. */
    public void revoke(String call) {
        revoked.add(call);
    }

    boolean revoked(X509Certificate issued) {
        return revoked.contains(issued.getSubjectX500Principal().getName().replaceFirst("^CN=", ""));
    }

    public X509Certificate certificate() {
        return certificate;
    }

    public String pem() throws GeneralSecurityException {
        return pem(certificate);
    }

    /**
     * Issues an identity with its key, as a PKCS#12 file.
     *
     * @param contactsFrom first instant of contacts it covers
     * @param contactsUntil last instant of contacts it covers
     */
    public byte[] issue(String call, Instant contactsFrom, Instant contactsUntil, String passphrase)
            throws GeneralSecurityException, IOException {
        return issue(call, contactsFrom, contactsUntil, Instant.now().plus(3 * 365, ChronoUnit.DAYS), passphrase);
    }

    /** @param until when the certificate itself ends */
    public byte[] issue(String call, Instant contactsFrom, Instant contactsUntil, Instant until, String passphrase)
            throws GeneralSecurityException, IOException {
        KeyPair pair = newKeyPair();
        X509Certificate issued = certify(call, pair.getPublic(), contactsFrom, contactsUntil, until);
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, null);
        store.setKeyEntry(call, pair.getPrivate(), passphrase.toCharArray(), new Certificate[] {issued, certificate});
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        store.store(out, passphrase.toCharArray());
        return out.toByteArray();
    }

    /**
     * Certifies that a key belongs to a call.
     *
     * @param until when the certificate itself ends
     */
    public X509Certificate certify(
            String call, PublicKey publicKey, Instant contactsFrom, Instant contactsUntil, Instant until)
            throws GeneralSecurityException, IOException {
        X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                X500Name.getInstance(certificate.getSubjectX500Principal().getEncoded()),
                new BigInteger(120, RANDOM),
                Date.from(min(Instant.now(), until).minus(1, ChronoUnit.HOURS)),
                Date.from(until),
                new X500Name("CN=" + call),
                publicKey);
        builder.addExtension(CONTACT_DATES, false, new DERUTF8String(contactsFrom + "/" + contactsUntil));
        return sign(builder, key);
    }

    /** A certificate as PEM text. */
    static String pem(X509Certificate certificate) throws GeneralSecurityException {
        String body = Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(certificate.getEncoded());
        return "-----BEGIN CERTIFICATE-----\n" + body + "\n-----END CERTIFICATE-----\n";
    }

    private static Instant min(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }

    private static X509Certificate root(KeyPair pair, String name) throws GeneralSecurityException, IOException {
        Instant now = Instant.now();
        X509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                new X500Name(name),
                BigInteger.ONE,
                Date.from(now.minus(1, ChronoUnit.DAYS)),
                Date.from(now.plus(20 * 365, ChronoUnit.DAYS)),
                new X500Name(name),
                pair.getPublic());
        builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(true));
        return sign(builder, pair.getPrivate());
    }

    private static X509Certificate sign(X509v3CertificateBuilder builder, PrivateKey key)
            throws GeneralSecurityException {
        try {
            return new JcaX509CertificateConverter()
                    .getCertificate(builder.build(new JcaContentSignerBuilder("SHA256withECDSA").build(key)));
        } catch (OperatorCreationException e) {
            throw new GeneralSecurityException(e);
        }
    }

    private static KeyPair newKeyPair() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        return generator.generateKeyPair();
    }
}
