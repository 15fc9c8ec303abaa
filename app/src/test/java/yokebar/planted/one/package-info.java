/** One half of a circle that must be found; see {@code ModulesTest}. */
@NullMarked
@ApplicationModule(
        id = "one",
        allowedDependencies = {})
package yokebar.planted.one;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
