package yokebar.app.delivery;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.hookup.HookupView;

/**
 * A service as the interface shows it.
 *
 * @param hasPassword whether one is stored; it is never given out
 * @param atOnce whether what is due goes by itself
 * @param counts contacts in each state, by the state's name
 * @param due contacts that wait to go, new or changed
 */
record LaneView(
        int id,
        String name,
        @Nullable String address,
        @Nullable String account,
        boolean hasPassword,
        boolean atOnce,
        int fetchEverySeconds,
        @Nullable Instant confirmationsUntil,
        HookupView hookup,
        Map<String, Long> counts,
        long due,
        List<IdentityView> identities,
        List<HandoverView> handovers) {

    /** An installed identity. */
    record IdentityView(String call, Instant validFrom, Instant validUntil) {}

    /**
     * A handover.
     *
     * @param trouble what is in its way
     * @param taken how many the service took, once it reported
     */
    record HandoverView(
            long id,
            Handover.State state,
            int contacts,
            Instant preparedAt,
            int attempts,
            @Nullable Instant nextTryAt,
            @Nullable String trouble,
            @Nullable Instant givenAt,
            @Nullable String receiptNumber,
            @Nullable String receiptWords,
            @Nullable Instant reportedAt,
            @Nullable Integer taken,
            @Nullable Integer refused) {

        static HandoverView of(Handover h) {
            return new HandoverView(
                    h.number(),
                    h.state,
                    h.contactIds.length,
                    h.preparedAt,
                    h.attempts,
                    h.nextTryAt,
                    h.trouble,
                    h.givenAt,
                    h.receiptNumber,
                    h.receiptWords,
                    h.reportedAt,
                    h.taken,
                    h.refused);
        }
    }
}
