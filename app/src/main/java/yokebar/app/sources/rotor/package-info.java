/** The station's rotators: where the antennas point, and turning them. */
@NullMarked
@ApplicationModule(
        id = "sources.rotor",
        allowedDependencies = {
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.hookup",
            "station.settings"
        })
package yokebar.app.sources.rotor;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
