/** The rules of a contest in sentences. */
@NullMarked
package yokebar.core.operate.contest.summary;

import org.jspecify.annotations.NullMarked;
