/** Matching what the other side logged with what we logged. */
@NullMarked
package yokebar.core.confirm;

import org.jspecify.annotations.NullMarked;
