/** Who a call belongs to, by callbooks: one on the network with what it answered before, and one that lies here as a file. */
@NullMarked
@ApplicationModule(
        id = "station.callbook",
        allowedDependencies = {
            "platform.rejection",
            "platform.secret",
            "platform.storage",
            "platform.web",
            "sources.hookup",
            "station.settings"
        })
package yokebar.app.station.callbook;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
