/**
 * Contests: their definitions, the books in which contacts are counted by them, and the contest line. The rules themselves stand in
 * {@link yokebar.core.operate.contest}.
 */
@NullMarked
@ApplicationModule(
        id = "operate.contest",
        allowedDependencies = {
            "log",
            "log :: search",
            "log :: store",
            "operate.entry",
            "platform.actor",
            "platform.live",
            "platform.rejection",
            "platform.secret",
            "platform.storage",
            "platform.web",
            "sources.hookup",
            "sources.intake",
            "sources.radio",
            "sources.text",
            "station.position",
            "station.profile",
            "station.reference",
            "station.settings"
        })
package yokebar.app.operate.contest;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
