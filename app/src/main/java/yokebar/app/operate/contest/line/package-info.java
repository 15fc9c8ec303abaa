/** What is typed on the contest line, and what it means. */
@NullMarked
package yokebar.app.operate.contest.line;

import org.jspecify.annotations.NullMarked;
