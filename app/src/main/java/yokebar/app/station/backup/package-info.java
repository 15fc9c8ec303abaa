/** What survives a loss: the second copy, dated backups, restoring them. */
@NullMarked
@ApplicationModule(
        id = "station.backup",
        allowedDependencies = {
            "platform.configuration",
            "log",
            "log :: store",
            "platform.lifecycle",
            "platform.rejection",
            "platform.secret",
            "platform.storage",
            "sources.hookup",
            "sources.intake",
            "station.settings"
        })
package yokebar.app.station.backup;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
