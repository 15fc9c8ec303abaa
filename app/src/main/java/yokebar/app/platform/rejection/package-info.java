/** Saying no: what features throw when they do not do what they are asked. */
@NullMarked
@ApplicationModule(
        id = "platform.rejection",
        allowedDependencies = {})
package yokebar.app.platform.rejection;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
