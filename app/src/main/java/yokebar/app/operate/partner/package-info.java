/** Who the other station is: from its call, from the log, from callbooks. */
@NullMarked
@ApplicationModule(
        id = "operate.partner",
        allowedDependencies = {
            "log",
            "log :: search",
            "log :: store",
            "platform.rejection",
            "services.confirm",
            "station.callbook",
            "station.position",
            "station.reference"
        })
package yokebar.app.operate.partner;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
