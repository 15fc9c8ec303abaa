/** Sending contacts on to services, by proof. */
@NullMarked
package yokebar.app.delivery;

import org.jspecify.annotations.NullMarked;
