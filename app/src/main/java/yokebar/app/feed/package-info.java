/** Feeds: cluster nodes and skimmers, as couplings; what they say is passed on line by line. */
@NullMarked
package yokebar.app.feed;

import org.jspecify.annotations.NullMarked;
