package yokebar.core.services.delivery;

import static yokebar.core.services.delivery.DeliveryState.ACCEPTED;
import static yokebar.core.services.delivery.DeliveryState.CHANGED;
import static yokebar.core.services.delivery.DeliveryState.CONFIRMED;
import static yokebar.core.services.delivery.DeliveryState.DUE;
import static yokebar.core.services.delivery.DeliveryState.HANDED_OVER;
import static yokebar.core.services.delivery.DeliveryState.HELD;
import static yokebar.core.services.delivery.DeliveryState.NOT_MEANT;
import static yokebar.core.services.delivery.DeliveryState.REFUSED;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import yokebar.core.services.confirm.ConfirmationMarks;

/** The one table of legal ways from state to state. What is not in it cannot happen. */
public final class DeliveryTransitions {
    private static final Map<DeliveryState, Map<DeliveryEvent, DeliveryState>> TABLE =
            new EnumMap<>(DeliveryState.class);

    static {
        from(HELD)
                .on(DeliveryEvent.RULES_ALLOW, DUE)
                .on(DeliveryEvent.RULES_HOLD, HELD)
                // Held by an edit while a batch with it was on its way: the state follows the fact.
                .on(DeliveryEvent.HANDED_OVER, HANDED_OVER)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.EXCLUDED, NOT_MEANT);
        from(DUE)
                .on(DeliveryEvent.RULES_ALLOW, DUE)
                .on(DeliveryEvent.RULES_HOLD, HELD)
                .on(DeliveryEvent.HANDED_OVER, HANDED_OVER)
                .on(DeliveryEvent.LISTED, ACCEPTED)
                .on(DeliveryEvent.REJECTED, REFUSED)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.EXCLUDED, NOT_MEANT);
        from(HANDED_OVER)
                .on(DeliveryEvent.LISTED, ACCEPTED)
                .on(DeliveryEvent.REJECTED, REFUSED)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.TAKEN_BACK, DUE)
                // The report decides; a difference found then makes it CHANGED.
                .on(DeliveryEvent.CONTENT_CHANGED, HANDED_OVER);
        from(ACCEPTED)
                .on(DeliveryEvent.LISTED, ACCEPTED)
                .on(DeliveryEvent.TAKEN_BACK, DUE)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.CONTENT_CHANGED, CHANGED);
        from(CONFIRMED)
                .on(DeliveryEvent.LISTED, CONFIRMED)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.DISPROVED, ACCEPTED)
                .on(DeliveryEvent.CONTENT_CHANGED, CHANGED);
        from(REFUSED)
                .on(DeliveryEvent.RETRIED, DUE)
                .on(DeliveryEvent.RULES_ALLOW, DUE)
                .on(DeliveryEvent.RULES_HOLD, HELD)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.EXCLUDED, NOT_MEANT);
        from(CHANGED)
                .on(DeliveryEvent.RULES_ALLOW, CHANGED)
                .on(DeliveryEvent.RULES_HOLD, HELD)
                .on(DeliveryEvent.HANDED_OVER, HANDED_OVER)
                .on(DeliveryEvent.LISTED, CHANGED)
                .on(DeliveryEvent.REJECTED, REFUSED)
                .on(DeliveryEvent.CONFIRMED, CONFIRMED)
                .on(DeliveryEvent.CONTENT_CHANGED, CHANGED)
                .on(DeliveryEvent.CONTENT_RESTORED, ACCEPTED)
                .on(DeliveryEvent.EXCLUDED, NOT_MEANT);
        from(NOT_MEANT).on(DeliveryEvent.INCLUDED, DUE).on(DeliveryEvent.CONFIRMED, CONFIRMED);
    }

    private DeliveryTransitions() {}

    /** The state after the event, or empty when the event cannot happen in this state. */
    public static Optional<DeliveryState> next(DeliveryState state, DeliveryEvent event) {
        return Optional.ofNullable(Objects.requireNonNull(TABLE.get(state)).get(event));
    }

    /** Where a contact begins that moves in from another log with a mark of the service. */
    public static DeliveryState movedIn(ConfirmationMarks.Kind mark) {
        return switch (mark) {
            case GIVEN -> ACCEPTED;
            case CONFIRMED -> CONFIRMED;
        };
    }

    private static Row from(DeliveryState state) {
        Map<DeliveryEvent, DeliveryState> ways = new EnumMap<>(DeliveryEvent.class);
        TABLE.put(state, ways);
        return new Row(ways);
    }

    private record Row(Map<DeliveryEvent, DeliveryState> ways) {
        Row on(DeliveryEvent event, DeliveryState next) {
            ways.put(event, next);
            return this;
        }
    }
}
