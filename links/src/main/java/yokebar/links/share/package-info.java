/** Offering a radio to other programs. */
@NullMarked
package yokebar.links.share;

import org.jspecify.annotations.NullMarked;
