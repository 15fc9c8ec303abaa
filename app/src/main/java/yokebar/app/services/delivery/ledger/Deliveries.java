package yokebar.app.services.delivery.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.Journey;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.identity.Identities;
import yokebar.app.station.profile.Station;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.DeliveryEvent;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.Hold;

/** Where contacts stand at the services, and what moves them on there. */
@Service
public class Deliveries {
    private final EntityManager db;
    private final DeliveryRepository repository;
    private final Services services;
    private final DeliveryCounts counts;
    private final Identities identities;
    private final Station station;
    private final ContactLog log;
    private final Journey journey;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Deliveries(
            EntityManager db,
            DeliveryRepository repository,
            Services services,
            DeliveryCounts counts,
            Identities identities,
            Station station,
            ContactLog log,
            Journey journey,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.repository = repository;
        this.services = services;
        this.counts = counts;
        this.identities = identities;
        this.station = station;
        this.log = log;
        this.journey = journey;
        this.clock = clock;
        this.events = events;
    }

    /** The operator wants these to go to a service that not every contact is meant for. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void wanted(int serviceId, Collection<Long> contactIds) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        EligibilitySnapshot rules = rules(account(serviceId), now);
        Set<Long> there = repository.at(serviceId, contactIds).stream()
                .map(Delivery::contactId)
                .collect(Collectors.toSet());
        for (LoggedContact contact : log.find(contactIds).values()) {
            if (!there.contains(contact.id())) {
                Delivery delivery = fresh(contact.id(), serviceId, now);
                rules.check(contact.contact()).ifPresent(h -> hold(delivery, h));
                tally.came(serviceId, delivery.state);
                db.persist(delivery);
            }
        }
        db.flush();
        for (Delivery delivery : repository.at(serviceId, contactIds)) {
            delivery.apply(DeliveryEvent.INCLUDED, null, now, tally);
        }
        counts.store(tally);
        events.publishEvent(new SealsChanged(List.copyOf(contactIds)));
    }

    static Delivery fresh(long contactId, int serviceId, Instant now) {
        Delivery delivery = new Delivery();
        delivery.contactId = contactId;
        delivery.serviceId = serviceId;
        delivery.changedAt = now;
        return delivery;
    }

    void tellLanes() {
        services.ids().forEach(serviceId -> events.publishEvent(new LaneChanged(serviceId)));
    }

    /** Takes contacts out of a service's deliveries, or back in. */
    @Transactional
    public void setMeant(List<Long> contactIds, int serviceId, boolean meant) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        EligibilitySnapshot rules = rules(account(serviceId), now);
        Map<Long, LoggedContact> contacts = log.find(contactIds);
        for (Delivery delivery : repository.at(serviceId, contactIds)) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (!meant) {
                delivery.apply(DeliveryEvent.EXCLUDED, "Excluded by the operator.", now, tally);
            } else if (contact != null && delivery.apply(DeliveryEvent.INCLUDED, null, now, tally)) {
                rules.apply(delivery, contact.contact(), tally);
            }
        }
        counts.store(tally);
        events.publishEvent(new SealsChanged(contactIds));
    }

    /**
     * The confirmation of a contact by the other side was fetched. One that was edited since the service took it goes there
     * again first: what it has is not what was confirmed.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void confirmed(int serviceId, Collection<Long> contactIds) {
        List<Long> settled = repository.at(serviceId, contactIds).stream()
                .filter(delivery -> delivery.state != DeliveryState.CHANGED
                        || !account(serviceId).rules().takesChanges())
                .map(Delivery::contactId)
                .toList();
        happened(serviceId, settled, DeliveryEvent.CONFIRMED);
    }

    /** What was taken for the confirmation of these contacts speaks of others. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void disproved(int serviceId, Collection<Long> contactIds) {
        happened(serviceId, contactIds, DeliveryEvent.DISPROVED);
    }

    /** Something happened to contacts at a service; those it cannot happen to stay as they are. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void happened(int serviceId, Collection<Long> contactIds, DeliveryEvent event) {
        StateTally tally = new StateTally();
        Instant now = clock.instant();
        List<Delivery> found = repository.at(serviceId, contactIds);
        found.forEach(delivery -> delivery.apply(event, null, now, tally));
        counts.store(tally);
        events.publishEvent(new SealsChanged(List.copyOf(contactIds)));
    }

    public ServiceAccount account(int serviceId) {
        return services.account(serviceId);
    }

    public void refusedNote(long contactId, String serviceName, String words) {
        journey.note(contactId, JourneyStep.Kind.REFUSED, serviceName + " refused it: " + words + ".", null);
    }

    /** What a service takes now. */
    public EligibilitySnapshot rules(ServiceAccount service, Instant now) {
        int serviceId = service.id();
        return new EligibilitySnapshot(
                service, station.ownCalls(), services.setup(serviceId).choices(), identities.of(serviceId), now);
    }

    static void hold(Delivery delivery, Hold hold) {
        delivery.state = DeliveryState.HELD;
        delivery.hold(hold);
    }
}
