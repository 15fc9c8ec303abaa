package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.storage.BulkInsert;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.Services;
import yokebar.core.log.contact.LoggedContact;

/** Gives the contacts that are there already their rows when a service is taken into use. */
@Service
public class DeliveryFill {
    private static final int AT_ONCE = 1000;

    private final EntityManager db;
    private final BulkInsert bulk;
    private final Services services;
    private final Deliveries deliveries;
    private final DeliveryCounts counts;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    DeliveryFill(
            EntityManager db,
            BulkInsert bulk,
            Services services,
            Deliveries deliveries,
            DeliveryCounts counts,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
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
        List<Long> missing = db.createNativeQuery(
                        "select c.id from contact c left join delivery d on d.contact_id = c.id"
                                + " and d.service_id = :service where c.id > :after and d.contact_id is null"
                                + " order by c.id limit " + AT_ONCE,
                        Long.class)
                .setParameter("service", serviceId)
                .setParameter("after", afterContactId)
                .getResultList();
        if (missing.isEmpty()) {
            services.setFilledTo(serviceId, null);
            events.publishEvent(new LaneChanged(serviceId));
            return null;
        }
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
        long last = missing.get(missing.size() - 1);
        services.setFilledTo(serviceId, last);
        events.publishEvent(new SealsChanged(missing));
        events.publishEvent(new LaneChanged(serviceId));
        return last;
    }
}
