/** How the application begins, and begins again. */
@NullMarked
package yokebar.app.start;

import org.jspecify.annotations.NullMarked;
