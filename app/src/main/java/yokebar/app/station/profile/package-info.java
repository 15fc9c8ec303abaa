/** Who and where we are: own call, operators, places. */
@NullMarked
@ApplicationModule(
        id = "station.profile",
        allowedDependencies = {
            "platform.configuration",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "station.reference",
            "station.settings"
        })
package yokebar.app.station.profile;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
