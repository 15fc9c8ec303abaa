/** Cluster nodes and skimmers over telnet. */
@NullMarked
package yokebar.links.sources.feed;

import org.jspecify.annotations.NullMarked;
