package yokebar.app.services.confirm;

import jakarta.persistence.EntityManager;
import org.springframework.stereotype.Repository;
import yokebar.app.services.delivery.ReceivedConfirmations;

/** Finds confirmations for the delivery of contacts. */
@Repository
class ConfirmationRepository implements ReceivedConfirmations {
    private final EntityManager db;

    ConfirmationRepository(EntityManager db) {
        this.db = db;
    }

    @Override
    public boolean has(int serviceId, long contactId) {
        return !db.createQuery(
                        "select id from ConfirmationRow where contactId = :contact and serviceId = :service",
                        Long.class)
                .setParameter("contact", contactId)
                .setParameter("service", serviceId)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    @Override
    public long unmatched(int serviceId) {
        return db.createQuery(
                        "select count(*) from ConfirmationRow where serviceId = :service and contactId is null"
                                + " and not setAside",
                        Long.class)
                .setParameter("service", serviceId)
                .getSingleResult();
    }
}
