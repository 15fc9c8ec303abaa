/** The event stream that keeps every open page up to date. */
@NullMarked
package yokebar.app.live;

import org.jspecify.annotations.NullMarked;
