/** The one log: contacts, their edits and their journey. */
@NullMarked
@ApplicationModule(
        id = "log",
        allowedDependencies = {
            "platform.actor",
            "platform.configuration",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "station.reference",
            "station.settings"
        })
package yokebar.app.log;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
