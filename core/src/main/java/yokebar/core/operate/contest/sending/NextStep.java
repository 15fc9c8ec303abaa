package yokebar.core.operate.contest.sending;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What comes next in a contact.
 *
 * @param slot the text to send; null when there is nothing to send
 * @param logs whether the contact is logged with it
 */
public record NextStep(@Nullable TextSlot slot, boolean logs) {

    /**
     * Nothing is logged before the exchange was sent, and what was not received is asked for.
     *
     * @param hasCall whether the call of the other station is known
     * @param complete whether all of its exchange is
     * @param sent what was sent to it already
     */
    public static NextStep of(WayOfWorking way, boolean hasCall, boolean complete, Set<TextSlot> sent) {
        return switch (way) {
            case RUN -> running(hasCall, complete, sent);
            case SEARCH -> searching(hasCall, complete, sent);
        };
    }

    private static NextStep running(boolean hasCall, boolean complete, Set<TextSlot> sent) {
        if (!hasCall) {
            return new NextStep(TextSlot.CALL, false);
        }
        if (!sent.contains(TextSlot.EXCHANGE)) {
            return new NextStep(TextSlot.EXCHANGE, false);
        }
        return complete ? new NextStep(TextSlot.THANKS, true) : new NextStep(TextSlot.AGAIN, false);
    }

    private static NextStep searching(boolean hasCall, boolean complete, Set<TextSlot> sent) {
        if (!hasCall) {
            return new NextStep(null, false);
        }
        if (!sent.contains(TextSlot.CALL)) {
            return new NextStep(TextSlot.CALL, false);
        }
        return complete ? new NextStep(TextSlot.EXCHANGE, true) : new NextStep(TextSlot.AGAIN, false);
    }
}
