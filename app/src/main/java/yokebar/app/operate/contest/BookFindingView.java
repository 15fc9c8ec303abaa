package yokebar.app.operate.contest;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something in a contest book that is likely a mistake.
 *
 * @param contactId of the contact in the log
 * @param start when it began, UTC
 * @param call of the other station
 * @param band such as {@code 20m}
 * @param sentence what is odd about it
 * @param likelyCall the call it most likely was; null when the finding is of something else
 * @param atStake what the score loses when the contact is not credited
 */
record BookFindingView(
        long contactId,
        Instant start,
        String call,
        String band,
        String sentence,
        @Nullable String likelyCall,
        long atStake) {}
