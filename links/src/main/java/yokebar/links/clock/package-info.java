/** Asks a time server how far this computer's clock is off. */
@NullMarked
package yokebar.links.clock;

import org.jspecify.annotations.NullMarked;
