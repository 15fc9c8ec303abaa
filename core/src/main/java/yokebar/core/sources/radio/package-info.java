/** What a radio is set to, and what that means in the log. */
@NullMarked
package yokebar.core.sources.radio;

import org.jspecify.annotations.NullMarked;
