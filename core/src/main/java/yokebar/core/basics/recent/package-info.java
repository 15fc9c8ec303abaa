/** What is remembered for a while: the last few of something, and no more. */
@NullMarked
package yokebar.core.basics.recent;

import org.jspecify.annotations.NullMarked;
