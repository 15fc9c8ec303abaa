/** What is sent in a contest: the texts, and the serials that were given to a station. */
@NullMarked
package yokebar.app.operate.contest.sending;

import org.jspecify.annotations.NullMarked;
