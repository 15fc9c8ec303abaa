/** Text for where not every letter can stand. */
@NullMarked
package yokebar.core.basics.text;

import org.jspecify.annotations.NullMarked;
