/** Rules that look at the order of all contacts of a contest: operating time, band changes, moving on. */
@NullMarked
package yokebar.core.operate.contest.limit;

import org.jspecify.annotations.NullMarked;
