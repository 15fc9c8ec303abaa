/** A simulated time server. */
@NullMarked
package yokebar.standins.clock;

import org.jspecify.annotations.NullMarked;
