/** What every request passes: who is let in, how refusals are said, the description of the API, the files of the page. */
@NullMarked
@ApplicationModule(
        id = "platform.web",
        allowedDependencies = {"platform.configuration", "platform.rejection", "platform.storage"})
package yokebar.app.platform.web;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
