/** Finding out what answers on a port, and how it wants to be spoken to. */
@NullMarked
package yokebar.links.sources.search;

import org.jspecify.annotations.NullMarked;
