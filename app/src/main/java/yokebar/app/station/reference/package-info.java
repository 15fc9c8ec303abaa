/** Data about the world that have editions: entities, and stations that take part in contests. */
@NullMarked
@ApplicationModule(
        id = "station.reference",
        allowedDependencies = {
            "platform.configuration",
            "platform.rejection",
            "platform.storage",
            "platform.web",
            "station.settings"
        })
package yokebar.app.station.reference;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
