/** Frequencies on which something else than the two stations carries the signal: repeaters and satellites. */
@NullMarked
package yokebar.core.basics.channel;

import org.jspecify.annotations.NullMarked;
