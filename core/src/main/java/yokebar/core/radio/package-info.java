/** What a radio is set to, and what that means in the log. */
@NullMarked
package yokebar.core.radio;

import org.jspecify.annotations.NullMarked;
