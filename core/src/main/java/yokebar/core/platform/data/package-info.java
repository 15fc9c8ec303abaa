/** Reads the data files that ship with the rules: one fact a line, comments after {@code #}. */
@NullMarked
package yokebar.core.platform.data;

import org.jspecify.annotations.NullMarked;
