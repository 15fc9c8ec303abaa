/** Carrying bytes to and from devices, over serial lines and TCP, and saying what is wrong when they cannot be carried. */
@NullMarked
package yokebar.links.platform.wire;

import org.jspecify.annotations.NullMarked;
