/** One half of a circle that must be found; see {@code ModulesTest}. */
@NullMarked
@ApplicationModule(
        id = "two",
        allowedDependencies = {})
package yokebar.planted.two;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
