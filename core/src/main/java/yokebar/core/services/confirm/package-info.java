/** Matching what the other side logged with what we logged. */
@NullMarked
package yokebar.core.services.confirm;

import org.jspecify.annotations.NullMarked;
