/** The event stream that keeps every open page up to date. */
@NullMarked
@ApplicationModule(
        id = "platform.live",
        allowedDependencies = {})
package yokebar.app.platform.live;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
