package yokebar.app.operate.contest.line;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A contact of a contest book.
 *
 * @param contactId of the contact in the log
 * @param start when it began, UTC
 * @param call of the other station
 * @param band such as {@code 20m}
 * @param mode such as {@code CW} or {@code phone}
 * @param received the exchange as it was received
 * @param worth what it brings
 * @param adjudicator what the adjudicator's check found; null when nothing, or the log was not checked
 */
public record BookContactView(
        long contactId,
        Instant start,
        String call,
        String band,
        String mode,
        String received,
        WorthView worth,
        @Nullable String adjudicator) {}
