/** Radio mail: an outbox of signed batches in parts, and sessions with a gateway over a slow link. */
@NullMarked
@ApplicationModule(
        id = "services.mail",
        allowedDependencies = {"platform.rejection", "services.delivery", "services.delivery :: handover"})
package yokebar.app.services.mail;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
