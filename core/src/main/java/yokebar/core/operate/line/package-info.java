/** The contact line: what an operator types while working a station, taken apart. */
@NullMarked
package yokebar.core.operate.line;

import org.jspecify.annotations.NullMarked;
