package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactLog;
import yokebar.app.services.delivery.Services;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.Eligibility;

/** Contacts that wait with every service because the operator wants to look at what their source brings first. */
@Service
public class HeldForReview {
    private final EntityManager db;
    private final DeliveryRepository repository;
    private final Services services;
    private final Deliveries deliveries;
    private final DeliveryCounts counts;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    HeldForReview(
            EntityManager db,
            DeliveryRepository repository,
            Services services,
            Deliveries deliveries,
            DeliveryCounts counts,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.repository = repository;
        this.services = services;
        this.deliveries = deliveries;
        this.counts = counts;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /** The contacts that wait because of where they came from. */
    @Transactional(readOnly = true)
    public List<Long> contacts() {
        List<Long> ids = new ArrayList<>();
        for (int serviceId : services.ids()) {
            ids.addAll(db.createQuery(
                            "select contactId from Delivery where serviceId = :service and state = :held and holdRule = :rule",
                            Long.class)
                    .setParameter("service", serviceId)
                    .setParameter("held", DeliveryState.HELD)
                    .setParameter("rule", Eligibility.Rule.BY_SOURCE)
                    .getResultList());
        }
        return ids.stream().distinct().toList();
    }

    /**
     * Lets go what waited because of where it came from; the other rules still have their say.
     *
     * @return how many contacts no longer wait
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public int letGo(Collection<Long> contactIds) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        Map<Long, LoggedContact> contacts = log.find(contactIds);
        Map<Integer, EligibilitySnapshot> rules = new TreeMap<>();
        Set<Long> moved = new TreeSet<>();
        for (Delivery delivery : repository.of(contactIds)) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact != null && delivery.holdRule == Eligibility.Rule.BY_SOURCE) {
                delivery.hold(null);
                rules.computeIfAbsent(delivery.serviceId, id -> deliveries.rules(services.account(id), now))
                        .apply(delivery, contact.contact(), tally);
                moved.add(delivery.contactId());
            }
        }
        counts.store(tally);
        events.publishEvent(new SealsChanged(List.copyOf(moved)));
        deliveries.tellLanes();
        return moved.size();
    }
}
