/** Modes, submodes and mode groups, including the old names found in older files. */
@NullMarked
package yokebar.core.basics.mode;

import org.jspecify.annotations.NullMarked;
