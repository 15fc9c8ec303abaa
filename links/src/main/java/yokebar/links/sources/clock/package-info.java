/** Asks a time server how far this computer's clock is off. */
@NullMarked
package yokebar.links.sources.clock;

import org.jspecify.annotations.NullMarked;
