/** Radio mail: an outbox of signed batches in parts, and sessions with a gateway over a slow link. */
@NullMarked
package yokebar.app.mail;

import org.jspecify.annotations.NullMarked;
