/** Who is on the air, by what others tell: lines of cluster nodes and skimmers, and the list of stations made of them. */
@NullMarked
package yokebar.core.sources.spot;

import org.jspecify.annotations.NullMarked;
