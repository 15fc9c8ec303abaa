package yokebar.app.sources.intake.decide;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.services.delivery.ledger.HeldForReview;

/** Contacts that wait with the services because the operator wants to look at what their source brings first. */
@Service
public class HeldContacts {
    private final EntityManager db;
    private final HeldForReview waitingForALook;

    HeldContacts(EntityManager db, HeldForReview waitingForALook) {
        this.db = db;
        this.waitingForALook = waitingForALook;
    }

    @Transactional(readOnly = true)
    public int count(String sourceId) {
        return ids(sourceId).size();
    }

    /** @return how many contacts no longer wait */
    @Transactional
    public int letGo(String sourceId) {
        List<Long> ids = ids(sourceId);
        return ids.isEmpty() ? 0 : waitingForALook.letGo(ids);
    }

    private List<Long> ids(String sourceId) {
        List<Long> waiting = waitingForALook.contacts();
        if (waiting.isEmpty()) {
            return List.of();
        }
        return db.createNativeQuery(
                        "select distinct j.contact_id from unnest(:ids) as w(id) join intake_journal j"
                                + " on j.contact_id = w.id and j.source = :source and j.decision = 'ADDED'",
                        Long.class)
                .setParameter("ids", waiting.toArray(Long[]::new))
                .setParameter("source", sourceId)
                .getResultList();
    }
}
