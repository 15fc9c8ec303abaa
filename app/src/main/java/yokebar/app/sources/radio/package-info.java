/** The station's radios: connected, shown, told what to do, and read for the log. */
@NullMarked
@ApplicationModule(
        id = "sources.radio",
        allowedDependencies = {
            "platform.configuration",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.hookup",
            "sources.rotor",
            "sources.text",
            "station.settings"
        })
package yokebar.app.sources.radio;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
