package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.handover.Handover;
import yokebar.core.services.delivery.DeliveryState;

/** How many contacts are in each state at each service; kept with every change, so that nobody has to count a long log. */
@Service
public class DeliveryCounts {
    private final EntityManager db;
    private final Services services;
    private final ApplicationEventPublisher events;

    DeliveryCounts(EntityManager db, Services services, ApplicationEventPublisher events) {
        this.db = db;
        this.services = services;
        this.events = events;
    }

    /** How many contacts are in each state at a service. */
    @Transactional(readOnly = true)
    public Map<DeliveryState, Long> counts(int serviceId) {
        Map<DeliveryState, Long> counts = new HashMap<>();
        List<Tuple> rows = db.createNativeQuery(
                        "select state, contacts from delivery_tally where service_id = :service", Tuple.class)
                .setParameter("service", serviceId)
                .getResultList();
        for (Tuple row : rows) {
            counts.put(
                    DeliveryState.valueOf(row.get(0, String.class)),
                    row.get(1, Number.class).longValue());
        }
        return counts;
    }

    /** Contacts that wait to go, new or changed. */
    public long due(int serviceId) {
        Map<DeliveryState, Long> counts = counts(serviceId);
        return services.rules(serviceId).statesThatGo().stream()
                .mapToLong(state -> counts.getOrDefault(state, 0L))
                .sum();
    }

    /** Those that are due and lie in no batch yet. */
    public long waiting(int serviceId) {
        return Math.max(0, due(serviceId) - madeReady(serviceId));
    }

    /** Contacts that lie in batches made ready and not gone yet; they are due until they have gone. */
    private long madeReady(int serviceId) {
        return (Long) db.createNativeQuery(
                        "select cast(coalesce(sum(cardinality(contact_ids)), 0) as bigint) from handover"
                                + " where service_id = :service and state = :prepared",
                        Long.class)
                .setParameter("service", serviceId)
                .setParameter("prepared", Handover.State.PREPARED.name())
                .getSingleResult();
    }

    /** Writes the counts a transaction changed, and tells. To be called once, at its end. */
    public void store(StateTally tally) {
        tally.changes().keySet().forEach(service -> events.publishEvent(new LaneChanged(service)));
        tally.changes()
                .forEach((service, states) -> states.forEach((state, contacts) -> {
                    if (contacts != 0) {
                        db.createNativeQuery(
                                        "update delivery_tally set contacts = contacts + :n where service_id = :service and state = :state")
                                .setParameter("n", contacts)
                                .setParameter("service", service)
                                .setParameter("state", state.name())
                                .executeUpdate();
                    }
                }));
    }
}
