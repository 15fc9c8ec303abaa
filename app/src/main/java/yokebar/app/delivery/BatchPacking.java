package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ContactLog;
import yokebar.core.call.Call;
import yokebar.core.contact.LoggedContact;
import yokebar.core.delivery.DeliveryState;
import yokebar.core.delivery.SigningIdentity;
import yokebar.links.identity.SigningKey;

/** Makes batches: claims what may go, and stores it with its content and its key before the first byte is sent. */
@Service
class BatchPacking {
    private final EntityManager db;
    private final Deliveries deliveries;
    private final Identities identities;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    BatchPacking(
            EntityManager db,
            Deliveries deliveries,
            Identities identities,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.deliveries = deliveries;
        this.identities = identities;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /**
     * Claims what is due, up to one batch that one identity can sign, and stores the batch with its key.
     *
     * @param most contacts in it at the most, within what the service takes
     * @return the handover's number, or empty when nothing is due
     */
    @Transactional
    public Optional<Long> prepare(int serviceId, int most) {
        ServiceAdapter service = deliveries.adapter(serviceId);
        return prepare(service, waiting(service, Math.min(most, service.mostContacts())));
    }

    /**
     * The same for contacts the operator chose; what of them is not due stays where it is.
     *
     * @param contactIds no more than the service takes in one handover
     */
    @Transactional
    public Optional<Long> prepare(int serviceId, List<Long> contactIds) {
        ServiceAdapter service = deliveries.adapter(serviceId);
        List<Delivery> chosen = deliveries.of(serviceId, contactIds).stream()
                .filter(delivery -> delivery.state.waitsToGo() && !delivery.claimed())
                .toList();
        return prepare(service, chosen);
    }

    /** The same for radio mail: one large batch that is not sent over the network. */
    @Transactional
    public Optional<Handover> prepareForMail(int serviceId, int most) {
        ServiceAdapter service = deliveries.adapter(serviceId);
        return prepare(service, waiting(service, most)).map(id -> {
            Handover handover = db.find(Handover.class, id);
            handover.via = Handover.Via.MAIL;
            return handover;
        });
    }

    private Optional<Long> prepare(ServiceAdapter service, List<Delivery> waiting) {
        int serviceId = service.serviceId();
        Instant now = clock.instant();
        StateTally tally = new StateTally();
        Map<Long, LoggedContact> contacts =
                log.find(waiting.stream().map(Delivery::contactId).toList());
        Map<Call, List<LoggedContact>> twins = twins(service, contacts.values());
        List<Delivery> claimed = new ArrayList<>();
        SigningIdentity identity = null;
        for (Delivery delivery : waiting) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact == null) {
                continue;
            }
            deliveries.applyRules(delivery, service, contact.contact(), now, tally);
            if (delivery.state == DeliveryState.DUE) {
                List<LoggedContact> alike = twins.getOrDefault(contact.contact().call(), List.of());
                deliveries.holdTwin(delivery, service, contact, alike, now, tally);
            }
            if (!delivery.state.waitsToGo()) {
                continue;
            }
            if (service.rules().signed()) {
                SigningIdentity needed = identityFor(serviceId, contact);
                identity = identity == null ? needed : identity;
                if (needed == null || !needed.equals(identity)) {
                    continue;
                }
            }
            claimed.add(delivery);
        }
        deliveries.store(tally);
        if (claimed.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(store(service, claimed, contacts, identity, now));
    }

    private long store(
            ServiceAdapter service,
            List<Delivery> claimed,
            Map<Long, LoggedContact> contacts,
            @Nullable SigningIdentity identity,
            Instant now) {
        SigningKey key = identity == null
                ? null
                : identities
                        .key(service.serviceId(), identity)
                        .orElseThrow(() -> new IllegalStateException("the identity went away"));
        Map<Long, String> numbers = numbers(claimed);
        List<ServiceAdapter.Parcel> parcels = new ArrayList<>();
        for (Delivery delivery : claimed) {
            parcels.add(new ServiceAdapter.Parcel(
                    service.render(contacts.get(delivery.contactId()).contact()), numbers.get(delivery.id)));
        }
        Handover handover = new Handover();
        handover.serviceId = service.serviceId();
        handover.idempotencyKey = UUID.randomUUID().toString();
        handover.preparedAt = now;
        handover.contactIds = claimed.stream().mapToLong(Delivery::contactId).toArray();
        handover.content = service.pack(parcels, key);
        db.persist(handover);
        for (int i = 0; i < claimed.size(); i++) {
            claimed.get(i).handoverId = handover.id;
            claimed.get(i).contentHash = ContentHash.of(parcels.get(i).fields());
        }
        events.publishEvent(new LaneChanged(service.serviceId()));
        return handover.number();
    }

    /** What the service calls those it has already. */
    private Map<Long, String> numbers(List<Delivery> claimed) {
        List<RemoteContact> known = db.createNativeQuery(
                        "select r.* from unnest(:ids) as w(id) join remote_contact r on r.delivery_id = w.id",
                        RemoteContact.class)
                .setParameter(
                        "ids", claimed.stream().map(delivery -> delivery.id).toArray(Long[]::new))
                .getResultList();
        return known.stream().collect(Collectors.toMap(one -> one.deliveryId, one -> one.number));
    }

    /** Contacts of the log that the service might count as one with some of these, by their call. */
    private Map<Call, List<LoggedContact>> twins(ServiceAdapter service, Collection<LoggedContact> contacts) {
        Duration apart = service.rules().countsOnce();
        if (apart.isZero() || contacts.isEmpty()) {
            return Map.of();
        }
        Instant from = Instant.MAX;
        Instant until = Instant.MIN;
        Set<String> calls = new TreeSet<>();
        for (LoggedContact logged : contacts) {
            Instant start = logged.contact().start();
            from = start.isBefore(from) ? start : from;
            until = start.isAfter(until) ? start : until;
            calls.add(logged.contact().call().text());
        }
        return log.around(calls, from.minus(apart), until).stream()
                .collect(Collectors.groupingBy(logged -> logged.contact().call()));
    }

    /** Whether any contact waits to go. */
    @Transactional(readOnly = true)
    public boolean anyWaiting(int serviceId) {
        return !waiting(deliveries.adapter(serviceId), 1).isEmpty();
    }

    private List<Delivery> waiting(ServiceAdapter service, int most) {
        int serviceId = service.serviceId();
        List<DeliveryState> states = service.rules().takesChanges()
                ? List.of(DeliveryState.CHANGED, DeliveryState.DUE)
                : List.of(DeliveryState.DUE);
        List<Delivery> waiting = new ArrayList<>();
        for (DeliveryState state : states) {
            waiting.addAll(db.createQuery(
                            "from Delivery where serviceId = :service and state = :state and handoverId is null order by id",
                            Delivery.class)
                    .setParameter("service", serviceId)
                    .setParameter("state", state)
                    .setMaxResults(most - waiting.size())
                    .getResultList());
            if (waiting.size() == most) {
                break;
            }
        }
        return waiting;
    }

    private @Nullable SigningIdentity identityFor(int serviceId, LoggedContact contact) {
        return identities.of(serviceId).stream()
                .filter(i ->
                        i.covers(contact.contact().ownCall(), contact.contact().start()))
                .findFirst()
                .orElse(null);
    }
}
