/** Call signs. */
@NullMarked
package yokebar.core.call;

import org.jspecify.annotations.NullMarked;
