/** Passwords and keys, encrypted at rest. */
@NullMarked
@ApplicationModule(
        id = "platform.secret",
        allowedDependencies = {"platform.configuration", "platform.storage", "platform.web"})
package yokebar.app.platform.secret;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
