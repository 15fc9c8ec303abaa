/** Call signs. */
@NullMarked
package yokebar.core.basics.call;

import org.jspecify.annotations.NullMarked;
