/** Who asks for something: the person and the position a request comes from. */
@NullMarked
@ApplicationModule(
        id = "platform.actor",
        allowedDependencies = {})
package yokebar.app.platform.actor;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
