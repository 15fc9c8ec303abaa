package yokebar.links.services.identity;

import java.security.PrivateKey;
import java.security.cert.X509Certificate;
import yokebar.core.services.delivery.SigningIdentity;

/**
 * A certificate with its private key, ready to sign.
 *
 * @param identity the call and the dates of contacts it covers
 */
public record SigningKey(SigningIdentity identity, PrivateKey privateKey, X509Certificate certificate) {

    /** Never the key. */
    @Override
    public String toString() {
        return "SigningKey[" + identity + "]";
    }
}
