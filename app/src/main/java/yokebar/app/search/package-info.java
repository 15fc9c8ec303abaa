/** Finding the devices that are connected to this computer. */
@NullMarked
package yokebar.app.search;

import org.jspecify.annotations.NullMarked;
