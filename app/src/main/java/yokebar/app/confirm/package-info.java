/** Fetching what the other side confirmed. */
@NullMarked
package yokebar.app.confirm;

import org.jspecify.annotations.NullMarked;
