/** The life cycle every link shares: its states, its pauses between tries, its faults in words. */
@NullMarked
package yokebar.links.platform.status;

import org.jspecify.annotations.NullMarked;
