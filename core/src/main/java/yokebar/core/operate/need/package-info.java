/** What an operator collects, and what a contact would bring. */
@NullMarked
package yokebar.core.operate.need;

import org.jspecify.annotations.NullMarked;
