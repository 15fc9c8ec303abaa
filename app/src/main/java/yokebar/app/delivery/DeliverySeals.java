package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.Seal;
import yokebar.app.log.Seals;

/** Tells the log where its contacts stand. */
@Service
class DeliverySeals implements Seals {
    private final EntityManager db;
    private final List<ServiceAdapter> services;

    DeliverySeals(EntityManager db, List<ServiceAdapter> services) {
        this.db = db;
        this.services = services;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, List<Seal>> of(Collection<Long> contactIds) {
        if (contactIds.isEmpty()) {
            return Map.of();
        }
        List<Long> ids = contactIds.stream()
                .flatMap(contact -> services.stream().map(s -> Delivery.id(contact, s.serviceId())))
                .toList();
        return db.createQuery("from Delivery where id in :ids order by id", Delivery.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.groupingBy(
                        Delivery::contactId,
                        Collectors.mapping(d -> new Seal(d.serviceId, d.state.name(), d.reason), Collectors.toList())));
    }
}
