/** The life cycle every link shares: its states, its pauses between tries, its faults in words. */
@NullMarked
package yokebar.links.status;

import org.jspecify.annotations.NullMarked;
