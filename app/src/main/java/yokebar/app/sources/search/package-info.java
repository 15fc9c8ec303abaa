/** Finding the devices that are connected to this computer. */
@NullMarked
@ApplicationModule(
        id = "sources.search",
        allowedDependencies = {
            "platform.configuration",
            "platform.live",
            "platform.storage",
            "sources.hookup",
            "sources.radio",
            "sources.rotor"
        })
package yokebar.app.sources.search;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
