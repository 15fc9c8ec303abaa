package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.Texts;

/** What services call our contacts, and the deletions that follow them there. */
@Service
public class Withdrawals {
    private final EntityManager db;
    private final Services services;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Withdrawals(EntityManager db, Services services, Clock clock, ApplicationEventPublisher events) {
        this.db = db;
        this.services = services;
        this.clock = clock;
        this.events = events;
    }

    /** Keeps what the service calls the contact; one that was deleted here meanwhile is to be deleted there. */
    @Transactional
    public void numbered(DeliveryKey key, String number, boolean stillHere) {
        RemoteContact remote = new RemoteContact();
        remote.contactId = key.contactId();
        remote.serviceId = key.serviceId();
        remote.number = number;
        db.merge(remote);
        if (!stillHere && services.account(key.serviceId()).rules().takesBack()) {
            Withdrawal withdrawal = new Withdrawal();
            withdrawal.contactId = key.contactId();
            withdrawal.serviceId = key.serviceId();
            withdrawal.number = number;
            withdrawal.askedAt = clock.instant();
            db.merge(withdrawal);
        }
    }

    /** What services call these contacts. */
    @Transactional(readOnly = true)
    public List<RemoteContact> known(Collection<Long> contactIds) {
        return db.createNativeQuery(
                        "select r.* from unnest(:contacts) as w(id) join remote_contact r on r.contact_id = w.id",
                        RemoteContact.class)
                .setParameter("contacts", contactIds.toArray(Long[]::new))
                .getResultList();
    }

    /** What is to be deleted at a service, the oldest first. */
    @Transactional(readOnly = true)
    public List<Withdrawal> of(int serviceId, int max) {
        return db.createQuery(
                        "from Withdrawal where serviceId = :service and trouble is null order by contactId",
                        Withdrawal.class)
                .setParameter("service", serviceId)
                .setMaxResults(max)
                .getResultList();
    }

    @Transactional
    public void withdrawn(DeliveryKey key) {
        for (Class<?> kind : List.of(Withdrawal.class, RemoteContact.class)) {
            Object stored = db.find(kind, key);
            if (stored != null) {
                db.remove(stored);
            }
        }
    }

    @Transactional
    public void notWithdrawn(DeliveryKey key, String trouble) {
        Withdrawal withdrawal = db.find(Withdrawal.class, key);
        if (withdrawal != null) {
            withdrawal.trouble = Texts.shortened(trouble);
            events.publishEvent(new LaneChanged(withdrawal.serviceId));
        }
    }
}
