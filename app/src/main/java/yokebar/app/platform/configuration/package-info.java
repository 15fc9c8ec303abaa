/** What Yokebar is started with. */
@NullMarked
@ApplicationModule(
        id = "platform.configuration",
        allowedDependencies = {})
package yokebar.app.platform.configuration;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
