package yokebar.app.delivery;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.hookup.HookupView;

/**
 * A service as the interface shows it.
 *
 * @param inUse whether contacts get a state there
 * @param byHand whether nothing goes there over a network
 * @param signed whether contacts are signed there
 * @param access what the operator has to give
 * @param hasPassword whether one is stored; it is never given out
 * @param complete whether all is there that a call needs
 * @param proven whether a report of the service has come back once
 * @param relayedOnRequest whether the operator decides about relayed contacts
 * @param hookup null when it is not in use or by hand
 * @param counts contacts in each state, by the state's name
 * @param due contacts that wait to go, new or changed
 * @param filling how far older contacts have got their rows, as a contact's number; null when all have
 * @param withdrawals contacts deleted here that are still to be deleted there
 * @param withdrawalTrouble why one of them cannot be
 * @param unmatched confirmations that fit no contact
 */
record LaneView(
        int id,
        String name,
        boolean inUse,
        boolean byHand,
        boolean signed,
        ServiceAdapter.Access access,
        @Nullable String address,
        @Nullable String account,
        boolean hasPassword,
        boolean complete,
        ServiceRow.When when,
        int everyMinutes,
        boolean paused,
        boolean proven,
        boolean relayedOnRequest,
        boolean relayed,
        String ownCalls,
        @Nullable LocalDate fromDay,
        int fetchEverySeconds,
        boolean confirms,
        @Nullable Instant confirmationsUntil,
        @Nullable Instant sweptUntil,
        @Nullable HookupView hookup,
        Map<String, Long> counts,
        long due,
        @Nullable Long filling,
        long withdrawals,
        @Nullable String withdrawalTrouble,
        long unmatched,
        List<IdentityView> identities,
        List<RequestView> requests,
        List<HandoverView> handovers) {

    /**
     * An installed identity.
     *
     * @param certificateEnds when it has to be renewed, UTC; null when that is not known
     */
    record IdentityView(
            long id, String call, Instant validFrom, Instant validUntil, @Nullable Instant certificateEnds) {}

    /** A request for a certificate that waits for the code of its letter. */
    record RequestView(long id, String call, String number, String words, Instant askedAt, String postalAddress) {}

    /**
     * A handover.
     *
     * @param trouble what is in its way
     * @param taken how many the service took, once it reported
     */
    record HandoverView(
            long id,
            Handover.State state,
            Handover.Via via,
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
                    h.via,
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
