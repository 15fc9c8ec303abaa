package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactLog;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.DeliveryEvent;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.Eligibility;

/** Looks again at contacts that are held or refused, when the rules may say something else of them by now. */
@Service
public class RuleReview {
    private static final int MAX_AT_ONCE = 1000;
    private static final int MAX_RETRIED = 10_000;

    private final EntityManager db;
    private final Deliveries deliveries;
    private final DeliveryCounts counts;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    RuleReview(
            EntityManager db,
            Deliveries deliveries,
            DeliveryCounts counts,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.deliveries = deliveries;
        this.counts = counts;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /**
     * Lets contacts that a service refused go there again.
     *
     * @return how many there were; the rules have the last word on each
     */
    @Transactional
    public int tryRefusedAgain(int serviceId) {
        StateTally tally = new StateTally();
        EligibilitySnapshot rules = deliveries.rules(deliveries.account(serviceId), clock.instant());
        List<Delivery> refused = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state order by serviceId, state, contactId",
                        Delivery.class)
                .setParameter("service", serviceId)
                .setParameter("state", DeliveryState.REFUSED)
                .setMaxResults(MAX_RETRIED)
                .getResultList();
        Map<Long, LoggedContact> contacts =
                log.find(refused.stream().map(Delivery::contactId).toList());
        for (Delivery delivery : refused) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact != null && delivery.apply(DeliveryEvent.RETRIED, null, rules.at(), tally)) {
                rules.apply(delivery, contact.contact(), tally);
            }
        }
        counts.store(tally);
        events.publishEvent(
                new SealsChanged(refused.stream().map(Delivery::contactId).toList()));
        return refused.size();
    }

    /** Whether an earlier edition held contacts of the service, whose reasons are kept in words until they are looked at. */
    @Transactional(readOnly = true)
    public boolean anyHeldInWords(int serviceId) {
        return !db.createQuery(
                        "select contactId from Delivery where serviceId = :service and state = :held and holdSubject is null",
                        Long.class)
                .setParameter("service", serviceId)
                .setParameter("held", DeliveryState.HELD)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    /**
     * Looks again at contacts held for a reason that passes by itself, a thousand at a time; those that may go are due then.
     *
     * @return where to go on, or null at the end
     */
    @Transactional
    public @Nullable Long reviewWhatPasses(int serviceId, long afterId) {
        TypedQuery<Delivery> held = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state and contactId > :after and holdRule in :rules"
                                + " order by serviceId, state, contactId",
                        Delivery.class)
                .setParameter(
                        "rules",
                        Arrays.stream(Eligibility.Rule.values())
                                .filter(Eligibility.Rule::passesByItself)
                                .toList());
        return review(held, serviceId, DeliveryState.HELD, afterId);
    }

    /**
     * Looks again at what the rules say of contacts in a state, a thousand at a time.
     *
     * @return where to go on, or null at the end
     */
    @Transactional
    public @Nullable Long review(int serviceId, DeliveryState state, long afterId) {
        TypedQuery<Delivery> all = db.createQuery(
                "from Delivery where serviceId = :service and state = :state and contactId > :after order by serviceId, state, contactId",
                Delivery.class);
        return review(all, serviceId, state, afterId);
    }

    private @Nullable Long review(TypedQuery<Delivery> query, int serviceId, DeliveryState state, long afterId) {
        List<Delivery> some = query.setParameter("service", serviceId)
                .setParameter("state", state)
                .setParameter("after", afterId)
                .setMaxResults(MAX_AT_ONCE)
                .getResultList();
        reviewed(serviceId, state, some);
        return some.size() < MAX_AT_ONCE ? null : some.get(some.size() - 1).contactId();
    }

    private void reviewed(int serviceId, DeliveryState state, List<Delivery> held) {
        Map<Long, LoggedContact> contacts =
                log.find(held.stream().map(Delivery::contactId).toList());
        StateTally tally = new StateTally();
        EligibilitySnapshot rules = deliveries.rules(deliveries.account(serviceId), clock.instant());
        List<Long> moved = new ArrayList<>();
        for (Delivery delivery : held) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact != null) {
                rules.apply(delivery, contact.contact(), tally);
                if (delivery.state != state) {
                    moved.add(delivery.contactId());
                }
            }
        }
        counts.store(tally);
        if (!moved.isEmpty()) {
            events.publishEvent(new SealsChanged(List.copyOf(moved)));
            events.publishEvent(new LaneChanged(serviceId));
        }
    }
}
