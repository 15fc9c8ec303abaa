/** Signing identities: X.509 certificates with their keys in PKCS#12 files, and CMS signed data made with them. */
@NullMarked
package yokebar.links.services.identity;

import org.jspecify.annotations.NullMarked;
