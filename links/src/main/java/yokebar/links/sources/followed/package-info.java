/** Files that other programs write, read on as they grow, are rewritten, replaced or come back. */
@NullMarked
package yokebar.links.sources.followed;

import org.jspecify.annotations.NullMarked;
