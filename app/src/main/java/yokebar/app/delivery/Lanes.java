package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.hookup.HookupView;
import yokebar.app.log.ContactLog;
import yokebar.app.log.LogLine;
import yokebar.core.delivery.DeliveryState;

/** Reads what the Services view shows. */
@Service
class Lanes {
    private static final int HANDOVERS_SHOWN = 20;
    private static final int PROBLEMS_SHOWN = 200;

    private final EntityManager db;
    private final Services services;
    private final Deliveries deliveries;
    private final Identities identities;
    private final HandoverWorker worker;
    private final ContactLog log;

    Lanes(
            EntityManager db,
            Services services,
            Deliveries deliveries,
            Identities identities,
            HandoverWorker worker,
            ContactLog log) {
        this.db = db;
        this.services = services;
        this.deliveries = deliveries;
        this.identities = identities;
        this.worker = worker;
        this.log = log;
    }

    @Transactional(readOnly = true)
    public List<LaneView> all() {
        return services.ids().stream().map(this::lane).toList();
    }

    @Transactional(readOnly = true)
    public LaneView lane(int serviceId) {
        ServiceRow row = services.row(serviceId);
        Map<DeliveryState, Long> counts = deliveries.counts(serviceId);
        Map<String, Long> named = new LinkedHashMap<>();
        long due = 0;
        for (DeliveryState state : DeliveryState.values()) {
            long contacts = counts.getOrDefault(state, 0L);
            named.put(state.name(), contacts);
            due += state.waitsToGo() ? contacts : 0;
        }
        return new LaneView(
                row.id,
                row.name,
                row.address,
                row.account,
                row.sealedPassword != null,
                row.atOnce,
                row.fetchEverySeconds,
                row.confirmationsUntil,
                HookupView.of(worker.line(serviceId)),
                named,
                due,
                identities.of(serviceId).stream()
                        .map(i -> new LaneView.IdentityView(i.call().text(), i.validFrom(), i.validUntil()))
                        .toList(),
                handovers(serviceId));
    }

    /** Contacts that stand in a state at a service, the newest first. */
    @Transactional(readOnly = true)
    public List<LogLine> contacts(int serviceId, DeliveryState state) {
        List<Long> ids = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state order by id desc", Delivery.class)
                .setParameter("service", serviceId)
                .setParameter("state", state)
                .setMaxResults(PROBLEMS_SHOWN)
                .getResultStream()
                .map(Delivery::contactId)
                .toList();
        return log.lines(ids);
    }

    private List<LaneView.HandoverView> handovers(int serviceId) {
        return db.createQuery("from Handover where serviceId = :service order by id desc", Handover.class)
                .setParameter("service", serviceId)
                .setMaxResults(HANDOVERS_SHOWN)
                .getResultStream()
                .map(LaneView.HandoverView::of)
                .toList();
    }
}
