/** The batch log with electronic cards. */
@NullMarked
package yokebar.standins.postbag;

import org.jspecify.annotations.NullMarked;
