/** Sending contacts on to services, by proof. */
@NullMarked
@ApplicationModule(
        id = "services.delivery",
        allowedDependencies = {
            "log",
            "log :: store",
            "platform.actor",
            "platform.live",
            "platform.rejection",
            "platform.secret",
            "platform.storage",
            "platform.web",
            "sources.hookup",
            "station.profile",
            "station.settings"
        })
package yokebar.app.services.delivery;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
