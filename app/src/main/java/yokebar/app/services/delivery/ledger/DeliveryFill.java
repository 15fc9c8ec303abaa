package yokebar.app.services.delivery.ledger;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactIds;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.storage.BulkInsert;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.Services;
import yokebar.core.log.contact.LoggedContact;

/** Gives the contacts that are there already their rows when a service is taken into use. */
@Service
public class DeliveryFill {
    private static final int AT_ONCE = 1000;

    private final DeliveryRepository repository;
    private final ContactIds contactIds;
    private final BulkInsert bulk;
    private final Services services;
    private final Deliveries deliveries;
    private final DeliveryCounts counts;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    DeliveryFill(
            DeliveryRepository repository,
            ContactIds contactIds,
            BulkInsert bulk,
            Services services,
            Deliveries deliveries,
            DeliveryCounts counts,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.repository = repository;
        this.contactIds = contactIds;
        this.bulk = bulk;
        this.services = services;
        this.deliveries = deliveries;
        this.counts = counts;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /**
     * Gives contacts that were there before a service was taken into use their rows, a thousand at a time.
     *
     * @return the last contact's number, or null when every contact has its row
     */
    @Transactional
    public @Nullable Long step(int serviceId, long afterContactId) {
        List<Long> next = contactIds.after(afterContactId, AT_ONCE);
        if (next.isEmpty()) {
            services.setFilledTo(serviceId, null);
            events.publishEvent(new LaneChanged(serviceId));
            return null;
        }
        Set<Long> missing = new LinkedHashSet<>(next);
        repository.at(serviceId, next).forEach(delivery -> missing.remove(delivery.contactId));
        Map<Long, LoggedContact> contacts = log.find(missing);
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        EligibilitySnapshot rules = deliveries.rules(services.account(serviceId), now);
        List<Delivery> rows = new ArrayList<>();
        for (LoggedContact contact : contacts.values()) {
            Delivery delivery = Deliveries.fresh(contact.id(), serviceId, now);
            rules.check(contact.contact()).ifPresent(h -> Deliveries.hold(delivery, h));
            tally.came(serviceId, delivery.state);
            rows.add(delivery);
        }
        bulk.insert(rows);
        counts.store(tally);
        long last = next.get(next.size() - 1);
        services.setFilledTo(serviceId, last);
        events.publishEvent(new SealsChanged(List.copyOf(missing)));
        events.publishEvent(new LaneChanged(serviceId));
        return last;
    }
}
