/** The contact line: reading it while it is typed, logging it, tuning by it. */
@NullMarked
@ApplicationModule(
        id = "operate.line",
        allowedDependencies = {
            "log",
            "log :: search",
            "log :: store",
            "operate.onair",
            "platform.rejection",
            "platform.storage",
            "sources.intake",
            "sources.radio",
            "station.callbook",
            "station.position",
            "station.profile",
            "station.reference"
        })
package yokebar.app.operate.line;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
