/** Data about the world that has editions: entities. */
@NullMarked
@ApplicationModule(
        id = "station.reference",
        allowedDependencies = {"platform.configuration", "platform.web", "station.settings"})
package yokebar.app.station.reference;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
