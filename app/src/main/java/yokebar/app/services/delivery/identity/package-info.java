/** Signing identities: asking for certificates, installing them, renewing them. */
@NullMarked
package yokebar.app.services.delivery.identity;

import org.jspecify.annotations.NullMarked;
