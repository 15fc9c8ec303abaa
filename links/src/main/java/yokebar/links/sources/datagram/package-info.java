/** UDP datagrams coming in. */
@NullMarked
package yokebar.links.sources.datagram;

import org.jspecify.annotations.NullMarked;
