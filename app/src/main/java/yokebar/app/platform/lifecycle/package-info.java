/** What the application tells its features about its own start and end. */
@NullMarked
@ApplicationModule(
        id = "platform.lifecycle",
        allowedDependencies = {})
package yokebar.app.platform.lifecycle;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
