/** What stands on the contest line beside the call and the exchange, and the exchange as fields of a contact. */
@NullMarked
package yokebar.core.operate.contest.entry;

import org.jspecify.annotations.NullMarked;
