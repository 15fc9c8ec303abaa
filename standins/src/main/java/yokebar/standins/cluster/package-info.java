/** The cluster node Beacon Hill and the skimmer feed Nightjar. */
@NullMarked
package yokebar.standins.cluster;

import org.jspecify.annotations.NullMarked;
