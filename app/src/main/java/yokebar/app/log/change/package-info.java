/** Changes of many contacts at once, what they changed, and taking them back. */
@NullMarked
@NamedInterface("change")
package yokebar.app.log.change;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
