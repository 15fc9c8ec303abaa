/** Sample contacts, counted by a definition that is being written. */
@NullMarked
package yokebar.core.operate.contest.tryout;

import org.jspecify.annotations.NullMarked;
