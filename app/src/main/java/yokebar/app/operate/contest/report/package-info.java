/** The report of a contest and its contacts as files. */
@NullMarked
package yokebar.app.operate.contest.report;

import org.jspecify.annotations.NullMarked;
