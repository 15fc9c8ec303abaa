/** How far this computer's clock is off. */
@NullMarked
@ApplicationModule(
        id = "sources.clock",
        allowedDependencies = {"platform.live", "sources.hookup", "station.profile"})
package yokebar.app.sources.clock;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
