/** The batch log with electronic cards. */
@NullMarked
package yokebar.links.postbag;

import org.jspecify.annotations.NullMarked;
