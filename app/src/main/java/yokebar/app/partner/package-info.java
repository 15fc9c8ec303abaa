/** Who the other station is: from its call, from the log, from callbooks. */
@NullMarked
package yokebar.app.partner;

import org.jspecify.annotations.NullMarked;
