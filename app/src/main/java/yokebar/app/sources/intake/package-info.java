/** Where arriving records are read, completed, matched and stored, and the journal of every one of them. */
@NullMarked
@ApplicationModule(
        id = "sources.intake",
        allowedDependencies = {
            "platform.configuration",
            "log",
            "log :: change",
            "log :: search",
            "log :: store",
            "platform.rejection",
            "platform.storage",
            "platform.web",
            "services.delivery",
            "services.delivery :: ledger",
            "sources.hookup",
            "sources.radio",
            "station.callbook",
            "station.position",
            "station.profile",
            "station.reference",
            "station.settings"
        })
package yokebar.app.sources.intake;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
