/** UDP datagrams coming in. */
@NullMarked
package yokebar.links.datagram;

import org.jspecify.annotations.NullMarked;
