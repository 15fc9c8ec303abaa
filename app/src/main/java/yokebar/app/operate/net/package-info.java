/** Nets: their sessions, the net sheet, who has checked in, and logging them. */
@NullMarked
@ApplicationModule(
        id = "operate.net",
        allowedDependencies = {
            "log",
            "log :: change",
            "log :: search",
            "log :: store",
            "operate.entry",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.intake",
            "station.callbook",
            "station.position",
            "station.profile",
            "station.reference"
        })
package yokebar.app.operate.net;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
