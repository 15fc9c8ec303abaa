/** Pictures that follow their contact to services which show them. */
@NullMarked
@NamedInterface("picture")
package yokebar.app.services.delivery.picture;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
