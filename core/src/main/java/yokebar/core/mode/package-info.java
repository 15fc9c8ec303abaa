/** Modes, submodes and mode groups, including the old names found in older files. */
@NullMarked
package yokebar.core.mode;

import org.jspecify.annotations.NullMarked;
