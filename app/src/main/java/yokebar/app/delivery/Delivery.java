package yokebar.app.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.core.delivery.DeliveryEvent;
import yokebar.core.delivery.DeliveryState;
import yokebar.core.delivery.DeliveryTransitions;
import yokebar.core.delivery.Eligibility;

/** Where one contact stands at one service. Its state changes only by {@link #apply}, along the core's table. */
@Entity
class Delivery {
    /** Room for this many services beside each other under one contact. */
    static final int SERVICES = 64;

    private static final int LONGEST_REASON = 400;

    @Id
    long id;

    /** Two who change it at once, an edit and a batch being made, must not overwrite each other. */
    @Version
    int version;

    int serviceId;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    DeliveryState state = DeliveryState.DUE;

    /** Why it is held or was refused. */
    @Nullable
    String reason;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    Eligibility.@Nullable Rule holdRule;

    /** The batch it was last put into; while it waits to go, a batch that has claimed it. */
    @Nullable
    Long handoverId;

    /** Hash of what was put into that batch. */
    @Nullable
    Long contentHash;

    Instant changedAt = Instant.EPOCH;

    static long id(long contactId, int serviceId) {
        return contactId * SERVICES + serviceId;
    }

    long contactId() {
        return id / SERVICES;
    }

    boolean claimed() {
        return state.waitsToGo() && handoverId != null;
    }

    /**
     * Moves along the table and tells the tally.
     *
     * @param why the reason to keep with the new state, or null for none
     * @return false when the event cannot happen in this state; nothing is changed then
     */
    boolean apply(DeliveryEvent event, @Nullable String why, Instant now, StateTally tally) {
        Optional<DeliveryState> next = DeliveryTransitions.next(state, event);
        if (next.isEmpty()) {
            return false;
        }
        if (next.get() != state) {
            tally.moved(serviceId, state, next.get());
            // Waiting anew, it belongs to no batch; what it was in is told by the journey.
            if (next.get().waitsToGo() && !state.waitsToGo()) {
                handoverId = null;
            }
            state = next.get();
            changedAt = now;
        }
        reason = why == null || why.length() <= LONGEST_REASON ? why : why.substring(0, LONGEST_REASON - 1) + "…";
        return true;
    }
}
