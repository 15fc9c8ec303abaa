/** Texts sent in a contest: what they say, and which comes next. */
@NullMarked
package yokebar.core.operate.contest.sending;

import org.jspecify.annotations.NullMarked;
