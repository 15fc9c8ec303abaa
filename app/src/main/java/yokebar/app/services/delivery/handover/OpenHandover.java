package yokebar.app.services.delivery.handover;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A handover under way, without its content, which may be long and is read only when it is sent. */
record OpenHandover(
        long id,
        int serviceId,
        Handover.Via via,
        int attempts,
        @Nullable Instant nextTryAt,
        @Nullable String receiptNumber) {

    boolean due(Instant now) {
        return nextTryAt == null || !nextTryAt.isAfter(now);
    }
}
