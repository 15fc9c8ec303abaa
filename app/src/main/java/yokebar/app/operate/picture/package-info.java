/** Pictures sent over the air: those received, which contacts they belong to, and those that answer them. */
@NullMarked
@ApplicationModule(
        id = "operate.picture",
        allowedDependencies = {
            "log",
            "log :: store",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "services.delivery :: picture",
            "sources.hookup",
            "sources.radio",
            "station.position",
            "station.profile",
            "station.settings"
        })
package yokebar.app.operate.picture;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
