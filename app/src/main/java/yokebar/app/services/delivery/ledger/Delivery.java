package yokebar.app.services.delivery.ledger;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.core.services.delivery.DeliveryEvent;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.DeliveryTransitions;
import yokebar.core.services.delivery.Eligibility;
import yokebar.core.services.delivery.Hold;
import yokebar.core.services.delivery.HoldSentence;

/** Where one contact stands at one service. Its state changes only by {@link #apply}, along the core's table. */
@Entity
@IdClass(DeliveryKey.class)
public class Delivery {
    private static final int LONGEST_REASON = 400;

    @Id
    long contactId;

    @Id
    int serviceId;

    /** Two who change it at once, an edit and a batch being made, must not overwrite each other. */
    @Version
    int version;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    public DeliveryState state = DeliveryState.DUE;

    /** Why it was refused, in the service's words. */
    @Nullable
    String reason;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    Eligibility.@Nullable Rule holdRule;

    /** What the rule is about; see {@link Hold}. */
    @Nullable
    String holdSubject;

    @Nullable
    String holdDetail;

    /** The batch it was last put into; while it waits to go, a batch that has claimed it. */
    @Nullable
    public Long handoverId;

    /** Hash of what was put into that batch. */
    @Nullable
    public Long contentHash;

    Instant changedAt = Instant.EPOCH;

    public DeliveryKey key() {
        return new DeliveryKey(contactId, serviceId);
    }

    public long contactId() {
        return contactId;
    }

    /** What holds it; null when nothing does. */
    public @Nullable Hold hold() {
        return holdRule == null
                ? null
                : new Hold(
                        holdRule,
                        Objects.requireNonNullElse(holdSubject, ""),
                        Objects.requireNonNullElse(holdDetail, ""));
    }

    void hold(@Nullable Hold hold) {
        holdRule = hold == null ? null : hold.rule();
        holdSubject = hold == null ? null : hold.subject();
        holdDetail = hold == null ? null : hold.detail();
    }

    /** Why it is held or was refused, in a sentence; null when it is neither. */
    public @Nullable String why(String serviceName) {
        Hold hold = hold();
        // What an earlier edition held is in words until it is looked at again.
        return hold == null || reason != null ? reason : HoldSentence.of(hold, serviceName);
    }

    public boolean claimed() {
        return state.waitsToGo() && handoverId != null;
    }

    /**
     * Moves along the table and tells the tally.
     *
     * @param why the reason to keep with the new state, or null for none
     * @return false when the event cannot happen in this state; nothing is changed then
     */
    public boolean apply(DeliveryEvent event, @Nullable String why, Instant now, StateTally tally) {
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
            if (state != DeliveryState.HELD) {
                hold(null);
            }
        }
        reason = why == null || why.length() <= LONGEST_REASON ? why : why.substring(0, LONGEST_REASON - 1) + "…";
        return true;
    }
}
