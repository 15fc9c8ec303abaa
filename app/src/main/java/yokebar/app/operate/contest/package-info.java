/**
 * Contests: their definitions, the books in which contacts are counted by them, and the contest line. The rules themselves stand in
 * {@link yokebar.core.operate.contest}.
 */
@NullMarked
@ApplicationModule(
        id = "operate.contest",
        allowedDependencies = {
            "log",
            "log :: store",
            "operate.entry",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.intake",
            "station.position",
            "station.profile",
            "station.reference"
        })
package yokebar.app.operate.contest;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
