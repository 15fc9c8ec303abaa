/** The contact line: reading it while it is typed, logging it, tuning by it. */
@NullMarked
package yokebar.app.line;

import org.jspecify.annotations.NullMarked;
