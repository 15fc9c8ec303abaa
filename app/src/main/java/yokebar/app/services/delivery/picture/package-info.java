/** Pictures that follow their contact to services which show them. */
@NullMarked
package yokebar.app.services.delivery.picture;

import org.jspecify.annotations.NullMarked;
