/** Feeds: cluster nodes and skimmers, as couplings; what they say is passed on line by line. */
@NullMarked
@ApplicationModule(
        id = "sources.feed",
        allowedDependencies = {"platform.rejection", "platform.secret", "sources.hookup", "station.settings"})
package yokebar.app.sources.feed;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
