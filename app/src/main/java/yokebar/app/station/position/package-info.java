/** Where people sit: each browser is at one position, with its operator, place, radio and call. */
@NullMarked
@ApplicationModule(
        id = "station.position",
        allowedDependencies = {
            "platform.actor",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.radio",
            "station.profile",
            "station.settings"
        })
package yokebar.app.station.position;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
