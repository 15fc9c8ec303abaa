package yokebar.app.services.delivery.ledger;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;
import yokebar.core.services.delivery.DeliveryState;

/** When the contacts of which services are looked at again: when asked, and now and then what passes by itself. */
@Component
public class ReviewRounds {
    private static final Duration PASSES_EVERY = Duration.ofMinutes(10);

    private final RuleReview review;
    private final Clock clock;
    /** When contacts that wait for a time were looked at. */
    private final Map<Integer, Instant> passingReviewed = new ConcurrentHashMap<>();
    /** Services of which all that waits is to be looked at. */
    private final Set<Integer> requested = ConcurrentHashMap.newKeySet();

    ReviewRounds(RuleReview review, Clock clock) {
        this.review = review;
        this.clock = clock;
    }

    /** At the start: what an earlier edition held is in words, and is looked at again. */
    public void askForHeldInWords(Collection<Integer> serviceIds) {
        serviceIds.stream().filter(review::anyHeldInWords).forEach(requested::add);
    }

    /** Has all that waits or is held looked at again in the next round. */
    public void ask(int serviceId) {
        requested.add(serviceId);
    }

    public boolean isAsked(int serviceId) {
        return requested.contains(serviceId);
    }

    /**
     * Looks at what is due to be looked at, a thousand contacts in each transaction.
     *
     * @param goOn asked between them
     */
    public void perform(int serviceId, BooleanSupplier goOn) {
        Instant last = passingReviewed.get(serviceId);
        if (last == null || last.plus(PASSES_EVERY).isBefore(clock.instant())) {
            passingReviewed.put(serviceId, clock.instant());
            Long after = 0L;
            while (after != null && goOn.getAsBoolean()) {
                after = review.reviewWhatPasses(serviceId, after);
            }
        }
        if (requested.remove(serviceId)) {
            reviewAll(serviceId, goOn);
        }
    }

    private void reviewAll(int serviceId, BooleanSupplier goOn) {
        for (DeliveryState state : List.of(DeliveryState.HELD, DeliveryState.DUE, DeliveryState.CHANGED)) {
            Long after = 0L;
            while (after != null && goOn.getAsBoolean()) {
                after = review.review(serviceId, state, after);
            }
        }
    }
}
