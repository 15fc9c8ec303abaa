/** The life of a connection to a device, whatever it is and whatever it speaks. */
@NullMarked
package yokebar.links.device;

import org.jspecify.annotations.NullMarked;
