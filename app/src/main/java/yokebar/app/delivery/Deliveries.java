package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.BulkInsert;
import yokebar.app.log.ContactLog;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.Journey;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.SealsChanged;
import yokebar.app.station.Station;
import yokebar.core.adif.AdifFields;
import yokebar.core.confirm.ConfirmationMarks;
import yokebar.core.contact.Contact;
import yokebar.core.contact.LoggedContact;
import yokebar.core.delivery.DeliveryEvent;
import yokebar.core.delivery.DeliveryState;
import yokebar.core.delivery.DeliveryTransitions;
import yokebar.core.delivery.Eligibility;

/** Gives every contact its delivery rows, and keeps them true when contacts or rules change. */
@Service
public class Deliveries {
    private static final int REVIEW_AT_ONCE = 1000;
    private static final int MOST_RETRIED = 10_000;
    /** Where contacts stand must be there before others look at it, such as for a confirmation that waited. */
    private static final int BEFORE_OTHERS = 0;

    private final EntityManager db;
    private final BulkInsert bulk;
    private final List<ServiceAdapter> adapters;
    private final Services services;
    private final Identities identities;
    private final Station station;
    private final ContactLog log;
    private final Journey journey;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Deliveries(
            EntityManager db,
            BulkInsert bulk,
            List<ServiceAdapter> adapters,
            Services services,
            Identities identities,
            Station station,
            ContactLog log,
            Journey journey,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.bulk = bulk;
        this.adapters = adapters;
        this.services = services;
        this.identities = identities;
        this.station = station;
        this.log = log;
        this.journey = journey;
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
        for (ServiceAdapter service : services.forEveryContact()) {
            RulesNow rules = rules(service, now);
            for (LoggedContact contact : event.contacts()) {
                Delivery delivery = fresh(contact.id(), service.serviceId(), now);
                DeliveryState before = movedIn(service, contact.contact(), event);
                if (before != null) {
                    delivery.state = before;
                    delivery.reason = "So said the log it came from.";
                } else {
                    Optional<Eligibility.Hold> hold =
                            event.held() ? Optional.of(Eligibility.BY_SOURCE) : rules.check(contact.contact());
                    hold.ifPresent(h -> hold(delivery, h));
                }
                tally.came(delivery.serviceId, delivery.state);
                rows.add(delivery);
            }
        }
        bulk.insert(rows);
        store(tally);
    }

    /** The operator wants these to go to a service that not every contact is meant for. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void wanted(int serviceId, Collection<Long> contactIds) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        RulesNow rules = rules(adapter(serviceId), now);
        Set<Long> there =
                of(serviceId, contactIds).stream().map(Delivery::contactId).collect(Collectors.toSet());
        for (LoggedContact contact : log.find(contactIds).values()) {
            if (!there.contains(contact.id())) {
                Delivery delivery = fresh(contact.id(), serviceId, now);
                rules.check(contact.contact()).ifPresent(h -> hold(delivery, h));
                tally.came(serviceId, delivery.state);
                db.persist(delivery);
            }
        }
        db.flush();
        for (Delivery delivery : of(serviceId, contactIds)) {
            delivery.apply(DeliveryEvent.INCLUDED, null, now, tally);
        }
        store(tally);
        events.publishEvent(new SealsChanged(List.copyOf(contactIds)));
    }

    static Delivery fresh(long contactId, int serviceId, Instant now) {
        Delivery delivery = new Delivery();
        delivery.id = Delivery.id(contactId, serviceId);
        delivery.serviceId = serviceId;
        delivery.changedAt = now;
        return delivery;
    }

    /** How far a contact had come at a service, as its own fields say; null when they say nothing of it. */
    private static @Nullable DeliveryState movedIn(ServiceAdapter service, Contact contact, ContactsLogged event) {
        if (event.origins().isEmpty()) {
            return null;
        }
        return ConfirmationMarks.of(contact.details()).stream()
                .filter(mark -> Objects.equals(event.origins().get(mark.origin()), service.serviceId()))
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
        Map<Long, Delivery> deliveries = of(event.ids());
        for (ServiceAdapter service : adapters) {
            RulesNow rules = rules(service, now);
            for (ContactsChanged.Change change : event.changes()) {
                Delivery delivery = deliveries.get(Delivery.id(change.after().id(), service.serviceId()));
                if (delivery != null) {
                    review(delivery, rules, change.before(), change.after().contact(), tally);
                }
            }
        }
        store(tally);
        events.publishEvent(new SealsChanged(event.ids()));
    }

    /** Runs inside the transaction that deletes the contacts; where they stood is kept with the change. */
    @EventListener
    void deleted(ContactsDeleted event) {
        StateTally tally = new StateTally();
        Map<Long, Delivery> deliveries = of(event.ids());
        deliveries.values().forEach(delivery -> tally.went(delivery.serviceId, delivery.state));
        Long[] ids = deliveries.keySet().toArray(Long[]::new);
        db.createNativeQuery("insert into delivery_past select :change, d.* from unnest(:ids) as w(id)"
                        + " join delivery d on d.id = w.id")
                .setParameter("change", event.changeId())
                .setParameter("ids", ids)
                .executeUpdate();
        db.createNativeQuery("insert into withdrawal select d.id, d.service_id, r.number, :now, null"
                        + " from unnest(:ids) as w(id) join delivery d on d.id = w.id"
                        + " join remote_contact r on r.delivery_id = d.id where d.service_id = any(:takeBack)")
                .setParameter("now", clock.instant())
                .setParameter("ids", ids)
                .setParameter("takeBack", takingBack())
                .executeUpdate();
        db.createNativeQuery("delete from delivery where id = any(:ids)")
                .setParameter("ids", ids)
                .executeUpdate();
        store(tally);
        tellLanes();
    }

    /** Runs inside the transaction that brings contacts back; they stand where they stood. */
    @EventListener
    @Order(BEFORE_OTHERS)
    void restored(ContactsRestored event) {
        List<Long> contactIds = event.contacts().stream().map(LoggedContact::id).toList();
        db.createNativeQuery("insert into delivery select p.* except (p.change_id) from unnest(:ids) as w(id)"
                        + " join delivery_past p on p.id = w.id and p.change_id = :change")
                .setParameter("change", event.deletedBy())
                .setParameter("ids", deliveryIds(contactIds))
                .executeUpdate();
        StateTally tally = new StateTally();
        Map<Long, Delivery> back = of(contactIds);
        back.values().forEach(delivery -> tally.came(delivery.serviceId, delivery.state));
        Long[] ids = back.keySet().toArray(Long[]::new);
        db.createNativeQuery("delete from withdrawal where delivery_id = any(:ids)")
                .setParameter("ids", ids)
                .executeUpdate();
        goAgainWhereDeleted(back, ids, tally);
        store(tally);
        tellLanes();
    }

    /** What was deleted at a service meanwhile has to go there anew. */
    private void goAgainWhereDeleted(Map<Long, Delivery> back, Long[] ids, StateTally tally) {
        Set<Integer> takingBack = Set.of(takingBack());
        Set<Long> known = new HashSet<>(db.createNativeQuery(
                        "select r.delivery_id from unnest(:ids) as w(id) join remote_contact r on r.delivery_id = w.id",
                        Long.class)
                .setParameter("ids", ids)
                .getResultList());
        for (Delivery delivery : back.values()) {
            if (takingBack.contains(delivery.serviceId) && !known.contains(delivery.id)) {
                delivery.apply(DeliveryEvent.CONTENT_CHANGED, null, clock.instant(), tally);
            }
        }
    }

    private Integer[] takingBack() {
        return adapters.stream()
                .filter(adapter -> adapter.rules().takesBack())
                .map(ServiceAdapter::serviceId)
                .toArray(Integer[]::new);
    }

    void tellLanes() {
        services.ids().forEach(serviceId -> events.publishEvent(new LaneChanged(serviceId)));
    }

    private Long[] deliveryIds(Collection<Long> contactIds) {
        return contactIds.stream()
                .flatMap(contact -> services.ids().stream().map(serviceId -> Delivery.id(contact, serviceId)))
                .toArray(Long[]::new);
    }

    /** The deliveries of contacts, by their own number. */
    Map<Long, Delivery> of(Collection<Long> contactIds) {
        List<Delivery> deliveries = db.createNativeQuery(
                        "select d.* from unnest(:ids) as w(id) join delivery d on d.id = w.id", Delivery.class)
                .setParameter("ids", deliveryIds(contactIds))
                .getResultList();
        return deliveries.stream().collect(Collectors.toMap(delivery -> delivery.id, delivery -> delivery));
    }

    private void review(Delivery delivery, RulesNow rules, Contact before, Contact after, StateTally tally) {
        ServiceAdapter service = rules.service();
        AdifFields now = service.render(after);
        if (!service.render(before).equals(now)) {
            contentChanged(delivery, rules, now, tally);
        }
        rules.apply(delivery, after, tally);
    }

    private void contentChanged(Delivery delivery, RulesNow rules, AdifFields now, StateTally tally) {
        boolean settled = delivery.state == DeliveryState.ACCEPTED || delivery.state == DeliveryState.CONFIRMED;
        if (delivery.state == DeliveryState.CHANGED && ContentHash.isOf(delivery.contentHash, now)) {
            // Edited and edited back: the service has what the log says.
            delivery.apply(DeliveryEvent.CONTENT_RESTORED, null, rules.at(), tally);
            if (isConfirmed(delivery)) {
                delivery.apply(DeliveryEvent.CONFIRMED, null, rules.at(), tally);
            }
        } else if (!settled || rules.service().rules().takesChanges() && !ContentHash.isOf(delivery.contentHash, now)) {
            delivery.apply(DeliveryEvent.CONTENT_CHANGED, delivery.reason, rules.at(), tally);
        }
    }

    private boolean isConfirmed(Delivery delivery) {
        return !db.createNativeQuery(
                        "select 1 from confirmation where contact_id = :contact and service_id = :service",
                        Integer.class)
                .setParameter("contact", delivery.contactId())
                .setParameter("service", delivery.serviceId)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    /** Takes contacts out of a service's deliveries, or back in. */
    @Transactional
    public void setMeant(List<Long> contactIds, int serviceId, boolean meant) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        RulesNow rules = rules(adapter(serviceId), now);
        Map<Long, LoggedContact> contacts = log.find(contactIds);
        for (Delivery delivery : of(serviceId, contactIds)) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (!meant) {
                delivery.apply(DeliveryEvent.EXCLUDED, "Excluded by the operator.", now, tally);
            } else if (contact != null && delivery.apply(DeliveryEvent.INCLUDED, null, now, tally)) {
                rules.apply(delivery, contact.contact(), tally);
            }
        }
        store(tally);
        events.publishEvent(new SealsChanged(contactIds));
    }

    /** Where contacts stand at a service. */
    List<Delivery> of(int serviceId, Collection<Long> contactIds) {
        return db.createNativeQuery(
                        "select d.* from unnest(:ids) as w(id) join delivery d on d.id = w.id", Delivery.class)
                .setParameter(
                        "ids",
                        contactIds.stream()
                                .map(id -> Delivery.id(id, serviceId))
                                .toArray(Long[]::new))
                .getResultList();
    }

    /**
     * The confirmation of a contact by the other side was fetched. One that was edited since the service took it goes there
     * again first: what it has is not what was confirmed.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void confirmed(int serviceId, Collection<Long> contactIds) {
        List<Long> settled = of(serviceId, contactIds).stream()
                .filter(delivery -> delivery.state != DeliveryState.CHANGED
                        || !adapter(serviceId).rules().takesChanges())
                .map(Delivery::contactId)
                .toList();
        happened(serviceId, settled, DeliveryEvent.CONFIRMED);
    }

    /** What was taken for the confirmation of these contacts speaks of others. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void disproved(int serviceId, Collection<Long> contactIds) {
        happened(serviceId, contactIds, DeliveryEvent.DISPROVED);
    }

    /**
     * Lets contacts that a service refused go there again.
     *
     * @return how many there were; the rules have the last word on each
     */
    @Transactional
    public int tryRefusedAgain(int serviceId) {
        StateTally tally = new StateTally();
        RulesNow rules = rules(adapter(serviceId), clock.instant());
        List<Delivery> refused = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state order by serviceId, state, id",
                        Delivery.class)
                .setParameter("service", serviceId)
                .setParameter("state", DeliveryState.REFUSED)
                .setMaxResults(MOST_RETRIED)
                .getResultList();
        Map<Long, LoggedContact> contacts =
                log.find(refused.stream().map(Delivery::contactId).toList());
        for (Delivery delivery : refused) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact != null && delivery.apply(DeliveryEvent.RETRIED, null, rules.at(), tally)) {
                rules.apply(delivery, contact.contact(), tally);
            }
        }
        store(tally);
        events.publishEvent(
                new SealsChanged(refused.stream().map(Delivery::contactId).toList()));
        return refused.size();
    }

    /** Something happened to contacts at a service; those it cannot happen to stay as they are. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void happened(int serviceId, Collection<Long> contactIds, DeliveryEvent event) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        List<Delivery> found = of(serviceId, contactIds);
        found.forEach(delivery -> delivery.apply(event, null, now, tally));
        store(tally);
        events.publishEvent(new SealsChanged(List.copyOf(contactIds)));
    }

    /** Looks again at contacts held for a reason that passes by itself; those that may go are due then. */
    @Transactional
    public void reviewWhatPasses(int serviceId) {
        List<Delivery> held = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state and holdRule in :rules"
                                + " order by serviceId, state, id",
                        Delivery.class)
                .setParameter("service", serviceId)
                .setParameter("state", DeliveryState.HELD)
                .setParameter(
                        "rules",
                        Arrays.stream(Eligibility.Rule.values())
                                .filter(Eligibility.Rule::passesByItself)
                                .toList())
                .setMaxResults(REVIEW_AT_ONCE)
                .getResultList();
        reviewed(serviceId, DeliveryState.HELD, held);
    }

    /**
     * Looks again at what the rules say of contacts in a state, a thousand at a time.
     *
     * @return where to go on, or null at the end
     */
    @Transactional
    public @Nullable Long review(int serviceId, DeliveryState state, long afterId) {
        List<Delivery> held = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state and id > :after order by serviceId, state, id",
                        Delivery.class)
                .setParameter("service", serviceId)
                .setParameter("state", state)
                .setParameter("after", afterId)
                .setMaxResults(REVIEW_AT_ONCE)
                .getResultList();
        reviewed(serviceId, state, held);
        return held.size() < REVIEW_AT_ONCE ? null : held.get(held.size() - 1).id;
    }

    private void reviewed(int serviceId, DeliveryState state, List<Delivery> held) {
        Map<Long, LoggedContact> contacts =
                log.find(held.stream().map(Delivery::contactId).toList());
        StateTally tally = new StateTally();
        RulesNow rules = rules(adapter(serviceId), clock.instant());
        List<Long> moved = new ArrayList<>();
        for (Delivery delivery : held) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact != null) {
                rules.apply(delivery, contact.contact(), tally);
                if (delivery.state != state) {
                    moved.add(delivery.contactId());
                }
            }
        }
        store(tally);
        if (!moved.isEmpty()) {
            events.publishEvent(new SealsChanged(List.copyOf(moved)));
            events.publishEvent(new LaneChanged(serviceId));
        }
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
    long due(int serviceId) {
        Map<DeliveryState, Long> counts = counts(serviceId);
        boolean changesGo = adapter(serviceId).rules().takesChanges();
        return counts.getOrDefault(DeliveryState.DUE, 0L)
                + (changesGo ? counts.getOrDefault(DeliveryState.CHANGED, 0L) : 0);
    }

    /** Those that are due and lie in no batch yet. */
    long waiting(int serviceId) {
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
    void store(StateTally tally) {
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

    ServiceAdapter adapter(int serviceId) {
        return services.adapter(serviceId);
    }

    void refusedNote(long contactId, String serviceName, String words) {
        journey.note(contactId, JourneyStep.Kind.REFUSED, serviceName + " refused it: " + words + ".");
    }

    /** What a service takes now. */
    RulesNow rules(ServiceAdapter service, Instant now) {
        int serviceId = service.serviceId();
        return new RulesNow(
                service, station.ownCalls(), services.setup(serviceId).choices(), identities.of(serviceId), now);
    }

    static void hold(Delivery delivery, Eligibility.Hold hold) {
        delivery.state = DeliveryState.HELD;
        delivery.reason = hold.sentence();
        delivery.holdRule = hold.rule();
    }
}
