/** What is on the air, told by feeds and programs, ranked by what each position needs. */
@NullMarked
@ApplicationModule(
        id = "operate.onair",
        allowedDependencies = {
            "log",
            "log :: search",
            "operate.contest",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "services.confirm",
            "sources.digital",
            "sources.feed",
            "sources.radio",
            "sources.rotor",
            "station.callbook",
            "station.position",
            "station.profile",
            "station.reference",
            "station.settings"
        })
package yokebar.app.operate.onair;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
