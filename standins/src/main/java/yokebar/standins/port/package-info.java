/** Ports of the loopback that the stand-ins open, close and open again. */
@NullMarked
package yokebar.standins.port;

import org.jspecify.annotations.NullMarked;
