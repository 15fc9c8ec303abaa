/** How a contest goes: rates, operating time, and the score hour by hour. */
@NullMarked
package yokebar.core.operate.contest.pace;

import org.jspecify.annotations.NullMarked;
