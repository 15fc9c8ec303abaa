/** How the application begins, and begins again. */
@NullMarked
@ApplicationModule(
        id = "platform.start",
        allowedDependencies = {"platform.lifecycle", "platform.storage", "station.backup"})
package yokebar.app.platform.start;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
