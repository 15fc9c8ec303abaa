/** The life of a connection to a device, whatever it is and whatever it speaks. */
@NullMarked
package yokebar.links.sources.device;

import org.jspecify.annotations.NullMarked;
