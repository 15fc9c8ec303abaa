package yokebar.core.services.delivery;

import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;

/**
 * What the operator wants to go to a service, within what the service takes.
 *
 * @param relayed whether contacts over repeaters and internet links go where they go on request only
 * @param ownCalls the own calls whose contacts go there; empty for all
 * @param fromDay the first day whose contacts go there, UTC; null for all
 */
public record Choices(boolean relayed, Set<Call> ownCalls, @Nullable LocalDate fromDay) {
    /** Nothing in particular. */
    public static final Choices PLAIN = new Choices(false, Set.of(), null);

    public Choices {
        ownCalls = Set.copyOf(ownCalls);
    }
}
