package yokebar.app.services.delivery.handover;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactLog;
import yokebar.app.services.delivery.ContactsAccepted;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.Texts;
import yokebar.app.services.delivery.ledger.Deliveries;
import yokebar.app.services.delivery.ledger.Delivery;
import yokebar.app.services.delivery.ledger.DeliveryCounts;
import yokebar.app.services.delivery.ledger.DeliveryKey;
import yokebar.app.services.delivery.ledger.DeliveryRepository;
import yokebar.app.services.delivery.ledger.EligibilitySnapshot;
import yokebar.app.services.delivery.ledger.StateTally;
import yokebar.app.services.delivery.ledger.Withdrawals;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.DeliveryEvent;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.Receipt;
import yokebar.links.services.delivery.Submission;

/**
 * The steps of a handover that touch the log, each one transaction: prepare, given, reported, refused. Sending lies between
 * them and touches nothing.
 */
@Service
public class HandoverDesk {
    private final EntityManager db;
    private final DeliveryRepository repository;
    private final Deliveries deliveries;
    private final DeliveryCounts counts;
    private final Withdrawals withdrawals;
    private final Services services;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    HandoverDesk(
            EntityManager db,
            DeliveryRepository repository,
            Deliveries deliveries,
            DeliveryCounts counts,
            Withdrawals withdrawals,
            Services services,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.repository = repository;
        this.deliveries = deliveries;
        this.counts = counts;
        this.withdrawals = withdrawals;
        this.services = services;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /** It lies with the gateway, whole. What the service makes of it nobody knows yet. */
    @Transactional
    public void mailed(long handoverId, String words) {
        given(handoverId, new Receipt("", words));
    }

    @Transactional(readOnly = true)
    public boolean stale(long handoverId) {
        Handover handover = db.find(Handover.class, handoverId);
        return handover == null || handover.state == Handover.State.PREPARED && editedSincePrepared(handover);
    }

    /** What was mailed in part is not to be sent on; the service is asked whether it has it. */
    @Transactional
    public void askAbout(long handoverId) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover != null && handover.state == Handover.State.PREPARED) {
            handover.via = Handover.Via.NETWORK;
            handover.askFirst = true;
            handover.attempts = Math.max(1, handover.attempts);
            handover.nextTryAt = clock.instant();
            events.publishEvent(new LaneChanged(handover.serviceId));
        }
    }

    /** The service says that what was mailed has arrived. */
    @Transactional
    public void arrived(long handoverId, Receipt receipt) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover.state == Handover.State.GIVEN) {
            handover.receiptNumber = receipt.number();
            handover.receiptWords = Texts.shortened(receipt.words());
            handover.nextTryAt = clock.instant();
            handover.attempts = 0;
            handover.trouble = null;
            events.publishEvent(new LaneChanged(handover.serviceId));
        }
    }

    /** What is known of a batch before it is tried. */
    public enum Beginning {
        /** Send it. */
        SEND,
        /** It was edited since and may have arrived: ask whether it did before anything else. */
        ASK,
        /** It is not to be sent any more. */
        DROPPED
    }

    /**
     * Notes that a try begins. What goes out is what the log says: a batch in which a contact was edited meanwhile is dropped
     * when it was never sent; when it was, and nobody knows whether it arrived, the service is asked first.
     */
    @Transactional
    public Beginning beginTry(long handoverId) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover == null || handover.state != Handover.State.PREPARED) {
            return Beginning.DROPPED;
        }
        boolean stale = handover.askFirst || editedSincePrepared(handover);
        if (stale && handover.attempts == 0) {
            drop(handover);
            return Beginning.DROPPED;
        }
        handover.attempts++;
        return stale ? Beginning.ASK : Beginning.SEND;
    }

    /** Other identities are installed now: what was signed before and is still here is made anew. */
    @Transactional
    public void identitiesChanged(int serviceId) {
        db.createQuery("from Handover where serviceId = :service and state = :prepared", Handover.class)
                .setParameter("service", serviceId)
                .setParameter("prepared", Handover.State.PREPARED)
                .getResultStream()
                .filter(handover -> handover.via == Handover.Via.NETWORK)
                .forEach(handover -> {
                    handover.askFirst = true;
                    handover.nextTryAt = clock.instant();
                });
    }

    /** The batch never arrived, and is not to be sent as it is. */
    @Transactional
    public void drop(long handoverId) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover != null && handover.state == Handover.State.PREPARED) {
            drop(handover);
        }
    }

    private void drop(Handover handover) {
        repository.byContact(handover.serviceId, handover.contacts()).values().stream()
                .filter(d -> Objects.equals(d.handoverId, handover.id))
                .forEach(d -> d.handoverId = null);
        forgetContent(handover);
        db.remove(handover);
        events.publishEvent(new LaneChanged(handover.serviceId));
    }

    private void forgetContent(Handover handover) {
        db.createQuery("delete from HandoverContent where handoverId = :id")
                .setParameter("id", handover.number())
                .executeUpdate();
    }

    /** What was made ready but never tried is not to go; its contacts are due again. */
    @Transactional
    public void dropUntried(int serviceId) {
        db.createQuery(
                        "from Handover where serviceId = :service and state = :prepared and via = :network and attempts = 0",
                        Handover.class)
                .setParameter("service", serviceId)
                .setParameter("prepared", Handover.State.PREPARED)
                .setParameter("network", Handover.Via.NETWORK)
                .getResultList()
                .forEach(this::drop);
    }

    /** The service has the batch, and perhaps said at once what became of it. */
    @Transactional
    public void submitted(long handoverId, Submission submission) {
        given(handoverId, submission.receipt());
        if (submission.report() != null) {
            reported(handoverId, submission.report());
        }
    }

    /** The service gave a receipt. */
    @Transactional
    public void given(long handoverId, Receipt receipt) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover.state != Handover.State.PREPARED) {
            return;
        }
        Instant now = clock.instant();
        handover.state = Handover.State.GIVEN;
        handover.givenAt = now;
        handover.receiptNumber = receipt.number().isEmpty() ? null : receipt.number();
        handover.receiptWords = Texts.shortened(receipt.words());
        handover.attempts = 0;
        handover.nextTryAt = now.plusSeconds(1);
        handover.trouble = null;
        services.handedOver(handover.serviceId, now);
        StateTally tally = new StateTally();
        repository.byContact(handover.serviceId, handover.contacts()).values().stream()
                .filter(d -> Objects.equals(d.handoverId, handover.id))
                .forEach(d -> d.apply(DeliveryEvent.HANDED_OVER, null, now, tally));
        finish(handover, tally);
    }

    /** The service said what became of each contact. */
    @Transactional
    public void reported(long handoverId, BatchReport report) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover.state != Handover.State.GIVEN) {
            return;
        }
        Instant now = clock.instant();
        StateTally tally = new StateTally();
        EligibilitySnapshot rules = deliveries.rules(deliveries.account(handover.serviceId), now);
        Map<Long, Delivery> byContact = repository.byContact(handover.serviceId, handover.contacts());
        Map<Long, LoggedContact> contacts = log.find(handover.contacts());
        int taken = 0;
        int refused = 0;
        for (int i = 0; i < handover.contactIds.length; i++) {
            long contactId = handover.contactIds[i];
            Delivery delivery = byContact.get(contactId);
            BatchReport.Result result = report.results().get(i);
            taken += result.taken() ? 1 : 0;
            refused += result.taken() || result.equals(BatchReport.Result.ABSENT) ? 0 : 1;
            LoggedContact contact = contacts.get(contactId);
            if (result.number() != null) {
                withdrawals.numbered(new DeliveryKey(contactId, handover.serviceId), result.number(), delivery != null);
            }
            if (delivery != null && contact != null && Objects.equals(delivery.handoverId, handover.id)) {
                settle(delivery, result, rules, contact, tally);
            }
        }
        handover.state = Handover.State.REPORTED;
        handover.reportedAt = now;
        handover.taken = taken;
        handover.refused = refused;
        handover.nextTryAt = null;
        handover.trouble = null;
        forgetContent(handover);
        finish(handover, tally);
        if (taken > 0) {
            services.proven(handover.serviceId);
            events.publishEvent(new ContactsAccepted(handover.serviceId, handover.contacts()));
        }
    }

    private void settle(
            Delivery delivery,
            BatchReport.Result result,
            EligibilitySnapshot rules,
            LoggedContact contact,
            StateTally tally) {
        ServiceAccount service = rules.service();
        Instant now = rules.at();
        if (result.equals(BatchReport.Result.ABSENT)) {
            delivery.apply(DeliveryEvent.TAKEN_BACK, null, now, tally);
            delivery.handoverId = null;
            rules.apply(delivery, contact.contact(), tally);
            return;
        }
        boolean edited =
                ContentHash.differs(delivery.contentHash, service.kind().render(contact.contact()));
        if (!result.taken()) {
            delivery.apply(DeliveryEvent.REJECTED, result.words(), now, tally);
            deliveries.refusedNote(contact.id(), service.name(), result.words());
        } else {
            delivery.apply(DeliveryEvent.LISTED, null, now, tally);
        }
        if (edited && service.rules().takesChanges()) {
            delivery.apply(DeliveryEvent.CONTENT_CHANGED, null, now, tally);
            rules.apply(delivery, contact.contact(), tally);
        }
    }

    /** The service would not have the batch at all; every contact in it is refused with the service's words. */
    @Transactional
    public void refused(long handoverId, String words) {
        Handover handover = db.find(Handover.class, handoverId);
        Instant now = clock.instant();
        handover.state = Handover.State.REFUSED;
        handover.trouble = Texts.shortened(words);
        handover.nextTryAt = null;
        StateTally tally = new StateTally();
        for (Delivery delivery :
                repository.byContact(handover.serviceId, handover.contacts()).values()) {
            if (Objects.equals(delivery.handoverId, handover.id)) {
                delivery.apply(DeliveryEvent.REJECTED, words, now, tally);
            }
        }
        forgetContent(handover);
        finish(handover, tally);
    }

    /** A try failed, or there was nothing to hear yet; says when to try again, and what is in the way if anything is. */
    @Transactional
    public void tryAgain(long handoverId, Duration pause, @Nullable String trouble) {
        Handover handover = db.find(Handover.class, handoverId);
        handover.nextTryAt = clock.instant().plus(pause);
        handover.trouble = trouble == null ? null : Texts.shortened(trouble);
        if (handover.state == Handover.State.GIVEN) {
            handover.attempts++;
        }
        events.publishEvent(new LaneChanged(handover.serviceId));
    }

    /** Lets everything that waits for its next try be tried at once. */
    @Transactional
    public void hurry(int serviceId) {
        // Without a new version: it must not come in the way of a try that is under way.
        db.createQuery("update Handover set nextTryAt = :now where serviceId = :service and nextTryAt is not null")
                .setParameter("now", clock.instant())
                .setParameter("service", serviceId)
                .executeUpdate();
    }

    private void finish(Handover handover, StateTally tally) {
        counts.store(tally);
        events.publishEvent(new SealsChanged(handover.contacts()));
        events.publishEvent(new LaneChanged(handover.serviceId));
    }

    private boolean editedSincePrepared(Handover handover) {
        ServiceAccount service = deliveries.account(handover.serviceId);
        Map<Long, LoggedContact> contacts = log.find(handover.contacts());
        Map<Long, Delivery> claimed = repository.byContact(handover.serviceId, handover.contacts());
        // One that was deleted since must not go out with the others.
        return claimed.size() < handover.contactIds.length
                || claimed.values().stream().anyMatch(delivery -> {
                    LoggedContact contact = contacts.get(delivery.contactId());
                    return !delivery.claimed()
                            || contact == null
                            || !ContentHash.isOf(
                                    delivery.contentHash, service.kind().render(contact.contact()));
                });
    }
}
