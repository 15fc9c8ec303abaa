package yokebar.app.services.delivery;

import jakarta.persistence.Tuple;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.app.services.delivery.handover.Handover;
import yokebar.app.services.delivery.handover.HandoverRequests;
import yokebar.app.sources.hookup.HookupView;

/**
 * A service as the interface shows it.
 *
 * @param name of the account
 * @param kind of the service
 * @param inUse whether contacts get a state there
 * @param removable whether the account can be removed: not in use, not the only one of its kind, and nothing went through it
 * @param byHand whether nothing goes there over a network
 * @param signed whether contacts are signed there
 * @param access what the operator has to give
 * @param hasPassword whether one is stored that opens; it is never given out
 * @param secretNotice what there is to know of the password, as that it must be typed again; null when nothing
 * @param complete whether all is there that a call needs
 * @param proven whether a report of the service has come back once
 * @param relayedOnRequest whether the operator decides about relayed contacts
 * @param hookup null when it is not in use or by hand
 * @param counts contacts in each state, by the state's name
 * @param due contacts that wait to go, new or changed
 * @param waiting those of them that lie in no batch yet
 * @param filling how far older contacts have got their rows, as a contact's number; null when all have
 * @param handingOver how far what was asked to go now has come; null when nothing is asked for
 * @param withdrawals contacts deleted here that are still to be deleted there
 * @param withdrawalTrouble why one of them cannot be
 * @param unmatched confirmations that fit no contact
 */
record LaneView(
        int id,
        String name,
        String kind,
        boolean inUse,
        boolean removable,
        boolean byHand,
        boolean signed,
        ServiceAdapter.Access access,
        @Nullable String address,
        @Nullable String account,
        boolean hasPassword,
        @Nullable String secretNotice,
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
        long waiting,
        @Nullable Long filling,
        HandoverRequests.@Nullable Progress handingOver,
        long withdrawals,
        @Nullable String withdrawalTrouble,
        long unmatched,
        List<IdentityView> identities,
        List<RequestView> requests,
        List<HandoverView> handovers) {

    /**
     * An installed identity.
     *
     * @param certificateEnds when its certificate ends, UTC; null when that is not known
     * @param toBeRenewed whether that is soon
     * @param placeId the place that contacts signed with it were made from when they do not say; null for none
     * @param notice what is unusual about it, in one sentence; null when nothing is
     */
    record IdentityView(
            long id,
            String call,
            Instant validFrom,
            Instant validUntil,
            @Nullable Instant certificateEnds,
            boolean toBeRenewed,
            @Nullable Long placeId,
            @Nullable String notice) {}

    /** A request for a certificate that waits for the code of its letter. */
    record RequestView(long id, String call, String number, String words, Instant askedAt, String postalAddress) {}

    /**
     * A handover.
     *
     * @param trouble what is in its way
     * @param taken how many the service took, once it reported
     * @param askedBy the person and the position, in words; null when it went automatically
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
            @Nullable Integer refused,
            @Nullable String askedBy) {

        /** @param row the columns in the order of the components, with the contacts' numbers in the place of their count */
        static HandoverView of(Tuple row) {
            return new HandoverView(
                    row.get(0, Long.class),
                    row.get(1, Handover.State.class),
                    row.get(2, Handover.Via.class),
                    row.get(3, long[].class).length,
                    row.get(4, Instant.class),
                    row.get(5, Integer.class),
                    row.get(6, Instant.class),
                    row.get(7, String.class),
                    row.get(8, Instant.class),
                    row.get(9, String.class),
                    row.get(10, String.class),
                    row.get(11, Instant.class),
                    row.get(12, Integer.class),
                    row.get(13, Integer.class),
                    row.get(14, String.class));
        }
    }
}
