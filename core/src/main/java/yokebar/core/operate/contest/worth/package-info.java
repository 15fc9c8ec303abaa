/** What a contact is worth beside others. */
@NullMarked
package yokebar.core.operate.contest.worth;

import org.jspecify.annotations.NullMarked;
