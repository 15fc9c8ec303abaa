/** Offering a radio to other programs. */
@NullMarked
package yokebar.links.sources.share;

import org.jspecify.annotations.NullMarked;
