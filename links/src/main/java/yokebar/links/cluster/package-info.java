/** Cluster nodes and skimmers over telnet. */
@NullMarked
package yokebar.links.cluster;

import org.jspecify.annotations.NullMarked;
