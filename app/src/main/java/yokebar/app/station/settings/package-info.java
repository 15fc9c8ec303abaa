/** All settings in one file, for keeping and for moving house. */
@NullMarked
@ApplicationModule(id = "station.settings", allowedDependencies = "platform.rejection")
package yokebar.app.station.settings;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
