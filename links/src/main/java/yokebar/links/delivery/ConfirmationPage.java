package yokebar.links.countersign;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.confirm.ConfirmedRecord;

/**
 * Some of the confirmations asked for.
 *
 * @param next where the next page starts, or null when this is the last
 * @param unreadable how many entries of the page made no sense and were left out
 */
public record ConfirmationPage(List<Entry> entries, @Nullable String next, int unreadable) {

    /**
     * @param number the service's number for it
     * @param receivedAt when the service received the record that made it a confirmation, UTC
     * @param locator the other side's locator, or null
     */
    public record Entry(String number, Instant receivedAt, ConfirmedRecord record, @Nullable String locator) {}
}
