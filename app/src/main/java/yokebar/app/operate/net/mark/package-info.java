/** The words an operator types for what a station says of itself. */
@NullMarked
package yokebar.app.operate.net.mark;

import org.jspecify.annotations.NullMarked;
