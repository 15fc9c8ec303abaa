/** The batch log with electronic cards. */
@NullMarked
package yokebar.links.services.postbag;

import org.jspecify.annotations.NullMarked;
