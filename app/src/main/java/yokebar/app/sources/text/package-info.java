/** Programs that decode radioteletype, and what they agree was received. */
@NullMarked
@ApplicationModule(
        id = "sources.text",
        allowedDependencies = {
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.hookup",
            "station.settings"
        })
package yokebar.app.sources.text;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
