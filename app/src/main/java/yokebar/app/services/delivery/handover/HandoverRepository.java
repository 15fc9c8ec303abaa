package yokebar.app.services.delivery.handover;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What is stored of handovers. */
@Repository
class HandoverRepository {
    private final EntityManager db;

    HandoverRepository(EntityManager db) {
        this.db = db;
    }

    /** The handovers of a service in a state, the oldest first. */
    @Transactional(readOnly = true)
    List<OpenHandover> in(int serviceId, Handover.State state) {
        return db.createQuery(
                        "select new yokebar.app.services.delivery.handover.OpenHandover(id, serviceId, via, attempts, nextTryAt,"
                                + " receiptNumber) from Handover where serviceId = :service and state = :state"
                                + " order by serviceId, state, id",
                        OpenHandover.class)
                .setParameter("service", serviceId)
                .setParameter("state", state)
                .getResultList();
    }

    /** Whether a handover of a service is on its way. */
    @Transactional(readOnly = true)
    boolean anyOpen(int serviceId) {
        return db.createQuery("select count(*) from Handover where serviceId = :service and state in :open", Long.class)
                        .setParameter("service", serviceId)
                        .setParameter("open", List.of(Handover.State.PREPARED, Handover.State.GIVEN))
                        .getSingleResult()
                > 0;
    }

    /** How many contacts a handover holds. */
    @Transactional(readOnly = true)
    int contacts(long handoverId) {
        return db.createQuery("select contactIds from Handover where id = :id", long[].class)
                .setParameter("id", handoverId)
                .getSingleResult()
                .length;
    }

    /** Whether it was not dropped. */
    @Transactional(readOnly = true)
    boolean exists(long handoverId) {
        return db.find(Handover.class, handoverId) != null;
    }

    @Transactional(readOnly = true)
    Handover get(long handoverId) {
        return db.find(Handover.class, handoverId);
    }

    /** The batch as it is sent; it is there until it is known what became of it. */
    @Transactional(readOnly = true)
    byte[] content(long handoverId) {
        return db.find(HandoverContent.class, handoverId).content;
    }
}
