package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.SealsChanged;
import yokebar.app.platform.storage.BulkInsert;
import yokebar.app.services.delivery.ReceivedConfirmations;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.app.services.delivery.ServiceAccounts;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.handover.ContentHash;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.confirm.ConfirmationMarks;
import yokebar.core.services.delivery.DeliveryEvent;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.DeliveryTransitions;
import yokebar.core.services.delivery.Eligibility;
import yokebar.core.services.delivery.Hold;

/**
 * Gives every contact of the log its deliveries, and keeps them true when contacts are changed, deleted or brought back: always
 * inside the transaction that does so.
 */
@Component
class LogDeliveries {
    /** Where contacts stand must be there before others look at it, such as for a confirmation that waited. */
    private static final int BEFORE_OTHERS = 0;

    private final EntityManager db;
    private final DeliveryRepository repository;
    private final BulkInsert bulk;
    private final ServiceAccounts accounts;
    private final Services services;
    private final Deliveries deliveries;
    private final Withdrawals withdrawals;
    private final ReceivedConfirmations confirmations;
    private final DeliveryCounts counts;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    LogDeliveries(
            EntityManager db,
            DeliveryRepository repository,
            BulkInsert bulk,
            ServiceAccounts accounts,
            Services services,
            Deliveries deliveries,
            Withdrawals withdrawals,
            ReceivedConfirmations confirmations,
            DeliveryCounts counts,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.repository = repository;
        this.bulk = bulk;
        this.accounts = accounts;
        this.services = services;
        this.deliveries = deliveries;
        this.withdrawals = withdrawals;
        this.confirmations = confirmations;
        this.counts = counts;
        this.clock = clock;
        this.events = events;
    }

    /** Runs inside the transaction that stores the contacts, so neither is ever there without the other. */
    @EventListener
    @Order(BEFORE_OTHERS)
    void logged(ContactsLogged event) {
        Instant now = clock.instant();
        StateTally tally = new StateTally();
        List<Delivery> rows = new ArrayList<>();
        for (ServiceAccount service : services.forEveryContact()) {
            EligibilitySnapshot rules = deliveries.rules(service, now);
            for (LoggedContact contact : event.contacts()) {
                Delivery delivery = Deliveries.fresh(contact.id(), service.id(), now);
                DeliveryState before = movedIn(service, contact.contact(), event);
                if (before != null) {
                    delivery.state = before;
                    delivery.reason = "By the log it was imported from.";
                } else {
                    Optional<Hold> hold =
                            event.held() ? Optional.of(Eligibility.BY_SOURCE) : rules.check(contact.contact());
                    hold.ifPresent(h -> Deliveries.hold(delivery, h));
                }
                tally.came(delivery.serviceId, delivery.state);
                rows.add(delivery);
            }
        }
        bulk.insert(rows);
        counts.store(tally);
    }

    /** How far a contact had come at a service, as its own fields say; null when they say nothing of it. */
    private static @Nullable DeliveryState movedIn(ServiceAccount service, Contact contact, ContactsLogged event) {
        if (event.origins().isEmpty()) {
            return null;
        }
        return ConfirmationMarks.of(contact.details()).stream()
                .filter(mark -> Objects.equals(event.origins().get(mark.origin()), service.id()))
                .map(mark -> DeliveryTransitions.movedIn(mark.kind()))
                .findFirst()
                .orElse(null);
    }

    /** Runs inside the transaction that changes the contacts. */
    @EventListener
    @Order(BEFORE_OTHERS)
    void changed(ContactsChanged event) {
        Instant now = clock.instant();
        StateTally tally = new StateTally();
        Map<DeliveryKey, Delivery> found =
                repository.of(event.ids()).stream().collect(Collectors.toMap(Delivery::key, Function.identity()));
        for (ServiceAccount service : accounts.all()) {
            EligibilitySnapshot rules = deliveries.rules(service, now);
            for (ContactsChanged.Change change : event.changes()) {
                Delivery delivery = found.get(new DeliveryKey(change.after().id(), service.id()));
                if (delivery != null) {
                    review(delivery, rules, change.before(), change.after().contact(), tally);
                }
            }
        }
        counts.store(tally);
        events.publishEvent(new SealsChanged(event.ids()));
    }

    /** Runs inside the transaction that deletes the contacts; where they stood is kept with the change. */
    @EventListener
    void deleted(ContactsDeleted event) {
        StateTally tally = new StateTally();
        repository.of(event.ids()).forEach(delivery -> tally.add(delivery.serviceId, delivery.state));
        Long[] contacts = event.ids().toArray(Long[]::new);
        db.createNativeQuery("insert into delivery_past select :change, d.* from unnest(:contacts) as w(id)"
                        + " join delivery d on d.contact_id = w.id")
                .setParameter("change", event.changeId())
                .setParameter("contacts", contacts)
                .executeUpdate();
        db.createNativeQuery("insert into withdrawal select d.contact_id, d.service_id, r.number, :now, null"
                        + " from unnest(:contacts) as w(id) join delivery d on d.contact_id = w.id"
                        + " join remote_contact r on r.contact_id = d.contact_id and r.service_id = d.service_id"
                        + " where d.service_id = any(:takeBack)")
                .setParameter("now", clock.instant())
                .setParameter("contacts", contacts)
                .setParameter("takeBack", takingBack())
                .executeUpdate();
        db.createNativeQuery("delete from delivery where contact_id = any(:contacts)")
                .setParameter("contacts", contacts)
                .executeUpdate();
        counts.store(tally);
        deliveries.tellLanes();
    }

    /** Runs inside the transaction that brings contacts back; they stand where they stood. */
    @EventListener
    @Order(BEFORE_OTHERS)
    void restored(ContactsRestored event) {
        List<Long> contactIds = event.contacts().stream().map(LoggedContact::id).toList();
        Long[] contacts = contactIds.toArray(Long[]::new);
        db.createNativeQuery("insert into delivery select p.* except (p.change_id) from unnest(:contacts) as w(id)"
                        + " join delivery_past p on p.change_id = :change and p.contact_id = w.id")
                .setParameter("change", event.deletedBy())
                .setParameter("contacts", contacts)
                .executeUpdate();
        StateTally tally = new StateTally();
        List<Delivery> back = repository.of(contactIds);
        back.forEach(delivery -> tally.came(delivery.serviceId, delivery.state));
        db.createNativeQuery("delete from withdrawal where contact_id = any(:contacts)")
                .setParameter("contacts", contacts)
                .executeUpdate();
        goAgainWhereDeleted(back, contactIds, tally);
        counts.store(tally);
        deliveries.tellLanes();
    }

    /** What was deleted at a service meanwhile has to go there anew. */
    private void goAgainWhereDeleted(List<Delivery> back, List<Long> contactIds, StateTally tally) {
        Set<Integer> takingBack = Set.of(takingBack());
        Set<DeliveryKey> known =
                withdrawals.known(contactIds).stream().map(RemoteContact::key).collect(Collectors.toSet());
        for (Delivery delivery : back) {
            if (takingBack.contains(delivery.serviceId) && !known.contains(delivery.key())) {
                delivery.apply(DeliveryEvent.CONTENT_CHANGED, null, clock.instant(), tally);
            }
        }
    }

    private Integer[] takingBack() {
        return accounts.all().stream()
                .filter(account -> account.rules().takesBack())
                .map(ServiceAccount::id)
                .toArray(Integer[]::new);
    }

    private void review(Delivery delivery, EligibilitySnapshot rules, Contact before, Contact after, StateTally tally) {
        ServiceAccount service = rules.service();
        AdifFields now = service.kind().render(after);
        if (!service.kind().render(before).equals(now)) {
            contentChanged(delivery, rules, now, tally);
        }
        rules.apply(delivery, after, tally);
    }

    private void contentChanged(Delivery delivery, EligibilitySnapshot rules, AdifFields now, StateTally tally) {
        boolean settled = delivery.state == DeliveryState.ACCEPTED || delivery.state == DeliveryState.CONFIRMED;
        if (delivery.state == DeliveryState.CHANGED && ContentHash.isOf(delivery.contentHash, now)) {
            // Edited and edited back: the service has what the log says.
            delivery.apply(DeliveryEvent.CONTENT_RESTORED, null, rules.at(), tally);
            if (confirmations.has(delivery.serviceId, delivery.contactId)) {
                delivery.apply(DeliveryEvent.CONFIRMED, null, rules.at(), tally);
            }
        } else if (!settled || rules.service().rules().takesChanges() && !ContentHash.isOf(delivery.contentHash, now)) {
            delivery.apply(DeliveryEvent.CONTENT_CHANGED, delivery.reason, rules.at(), tally);
        }
    }
}
