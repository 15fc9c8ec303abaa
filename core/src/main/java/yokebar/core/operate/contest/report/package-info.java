/** What is put on paper of a contest: score, multipliers and the dupe sheet. */
@NullMarked
package yokebar.core.operate.contest.report;

import org.jspecify.annotations.NullMarked;
