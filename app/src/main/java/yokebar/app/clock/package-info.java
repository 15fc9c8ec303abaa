/** How far this computer's clock is off. */
@NullMarked
package yokebar.app.clock;

import org.jspecify.annotations.NullMarked;
