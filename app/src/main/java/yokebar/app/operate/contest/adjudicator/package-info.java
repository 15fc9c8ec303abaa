/** The adjudicator: logs of contest books are handed in there, and what its check found is shown beside their contacts. */
@NullMarked
package yokebar.app.operate.contest.adjudicator;

import org.jspecify.annotations.NullMarked;
