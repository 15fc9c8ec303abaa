/** Fetching what the other side confirmed. */
@NullMarked
@ApplicationModule(
        id = "services.confirm",
        allowedDependencies = {
            "log",
            "log :: search",
            "log :: store",
            "platform.live",
            "platform.rejection",
            "services.delivery",
            "services.delivery :: ledger",
            "station.reference"
        })
package yokebar.app.services.confirm;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
