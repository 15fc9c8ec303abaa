/** Digital-mode programs on the digital link: what they read and do, and what they are told. */
@NullMarked
@ApplicationModule(
        id = "sources.digital",
        allowedDependencies = {
            "platform.configuration",
            "platform.live",
            "platform.rejection",
            "platform.storage",
            "sources.hookup",
            "sources.intake"
        })
package yokebar.app.sources.digital;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
