/** What was worked and confirmed before, and what is needed still. */
@NullMarked
package yokebar.core.operate.need;

import org.jspecify.annotations.NullMarked;
