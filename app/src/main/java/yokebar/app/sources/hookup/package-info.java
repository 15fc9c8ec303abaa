/** Every coupling to the outside: its state, its test, its switch. */
@NullMarked
@ApplicationModule(
        id = "sources.hookup",
        allowedDependencies = {"platform.live", "platform.rejection", "platform.storage"})
package yokebar.app.sources.hookup;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
