package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Repository;

/** Finds deliveries by their contacts. */
@Repository
public class DeliveryRepository {
    private final EntityManager db;

    DeliveryRepository(EntityManager db) {
        this.db = db;
    }

    /** Where contacts stand at every service, contact by contact. */
    List<Delivery> of(Collection<Long> contactIds) {
        return db.createNativeQuery(
                        "select d.* from unnest(:contacts) as w(id) join delivery d on d.contact_id = w.id"
                                + " order by d.contact_id, d.service_id",
                        Delivery.class)
                .setParameter("contacts", contactIds.toArray(Long[]::new))
                .getResultList();
    }

    /** Where contacts stand at a service. */
    public List<Delivery> at(int serviceId, Collection<Long> contactIds) {
        return db.createNativeQuery(
                        "select d.* from unnest(:contacts) as w(id) join delivery d on d.contact_id = w.id"
                                + " and d.service_id = :service",
                        Delivery.class)
                .setParameter("contacts", contactIds.toArray(Long[]::new))
                .setParameter("service", serviceId)
                .getResultList();
    }

    /** The same by contact. */
    public Map<Long, Delivery> byContact(int serviceId, Collection<Long> contactIds) {
        return at(serviceId, contactIds).stream().collect(Collectors.toMap(Delivery::contactId, Function.identity()));
    }
}
