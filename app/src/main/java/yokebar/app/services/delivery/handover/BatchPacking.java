package yokebar.app.services.delivery.handover;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.store.ContactLog;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.ServiceAccount;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.app.services.delivery.identity.Identities;
import yokebar.app.services.delivery.ledger.Deliveries;
import yokebar.app.services.delivery.ledger.Delivery;
import yokebar.app.services.delivery.ledger.DeliveryCounts;
import yokebar.app.services.delivery.ledger.DeliveryKey;
import yokebar.app.services.delivery.ledger.DeliveryRepository;
import yokebar.app.services.delivery.ledger.EligibilitySnapshot;
import yokebar.app.services.delivery.ledger.RemoteContact;
import yokebar.app.services.delivery.ledger.StateTally;
import yokebar.app.services.delivery.ledger.Withdrawals;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.SigningIdentity;
import yokebar.links.services.identity.SigningKey;

/** Makes batches: claims what may go, and stores it with its content and its key before the first byte is sent. */
@Service
public class BatchPacking {
    /** As the index has them, so that the first ones are found without sorting the others. */
    private static final String IN_ORDER = " order by serviceId, state, contactId";

    private final EntityManager db;
    private final DeliveryRepository repository;
    private final Deliveries deliveries;
    private final DeliveryCounts counts;
    private final Identities identities;
    private final Withdrawals withdrawals;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    BatchPacking(
            EntityManager db,
            DeliveryRepository repository,
            Deliveries deliveries,
            DeliveryCounts counts,
            Identities identities,
            Withdrawals withdrawals,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.repository = repository;
        this.deliveries = deliveries;
        this.counts = counts;
        this.identities = identities;
        this.withdrawals = withdrawals;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /**
     * Claims what is due, up to one batch that one identity can sign, and stores the batch with its key.
     *
     * @param max contacts in it at the most, within what the service takes
     * @param askedBy who asked for it, in words; null when it goes automatically
     * @return the handover's number, or empty when nothing is due
     */
    @Transactional
    public Optional<Long> prepare(int serviceId, int max, @Nullable String askedBy) {
        ServiceAccount service = deliveries.account(serviceId);
        return prepare(service, waiting(service, Math.min(max, service.kind().maxBatchSize())), askedBy);
    }

    /**
     * The same for contacts the operator chose; what of them is not due stays where it is.
     *
     * @param contactIds no more than the service takes in one handover
     */
    @Transactional
    public Optional<Long> prepare(int serviceId, List<Long> contactIds, @Nullable String askedBy) {
        ServiceAccount service = deliveries.account(serviceId);
        List<Delivery> chosen = repository.at(serviceId, contactIds).stream()
                .filter(delivery -> delivery.state.waitsToGo() && !delivery.claimed())
                .toList();
        return prepare(service, chosen, askedBy);
    }

    /** The same for radio mail: one large batch that is not sent over the network. */
    @Transactional
    public Optional<Handover> prepareForMail(int serviceId, int max) {
        ServiceAccount service = deliveries.account(serviceId);
        // Past what lies in the outbox already, so that not each letter looks at all of that again.
        List<Delivery> waiting = waiting(service, max, mailedUpTo(serviceId));
        return prepare(service, waiting.isEmpty() ? waiting(service, max) : waiting, null)
                .map(id -> {
                    Handover handover = db.find(Handover.class, id);
                    handover.via = Handover.Via.MAIL;
                    return handover;
                });
    }

    private Optional<Long> prepare(ServiceAccount service, List<Delivery> waiting, @Nullable String askedBy) {
        EligibilitySnapshot rules = deliveries.rules(service, clock.instant());
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
            rules.apply(delivery, contact.contact(), tally);
            if (delivery.state == DeliveryState.DUE) {
                List<LoggedContact> alike = twins.getOrDefault(contact.contact().call(), List.of());
                rules.holdTwin(delivery, contact, alike, tally);
            }
            if (!delivery.state.waitsToGo()) {
                continue;
            }
            if (service.rules().signed()) {
                SigningIdentity needed = rules.signer(contact.contact());
                identity = identity == null ? needed : identity;
                if (needed == null || !needed.equals(identity)) {
                    continue;
                }
            }
            claimed.add(delivery);
        }
        counts.store(tally);
        if (claimed.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(store(service, claimed, contacts, identity, rules.at(), askedBy));
    }

    private long store(
            ServiceAccount service,
            List<Delivery> claimed,
            Map<Long, LoggedContact> contacts,
            @Nullable SigningIdentity identity,
            Instant now,
            @Nullable String askedBy) {
        SigningKey key = identity == null
                ? null
                : identities
                        .key(service.id(), identity)
                        .orElseThrow(() -> new IllegalStateException("the identity was removed"));
        String locator = identity == null ? null : identities.locator(service.id(), identity);
        Map<DeliveryKey, String> numbers =
                withdrawals.known(claimed.stream().map(Delivery::contactId).toList()).stream()
                        .collect(Collectors.toMap(RemoteContact::key, remote -> remote.number));
        List<ServiceAdapter.Parcel> parcels = new ArrayList<>();
        for (Delivery delivery : claimed) {
            AdifFields fields = service.kind()
                    .render(Objects.requireNonNull(contacts.get(delivery.contactId()))
                            .contact());
            // Of what the log says, not of the place: that a place was added later is not an edit of the contact.
            delivery.contentHash = ContentHash.of(fields);
            boolean placed = locator == null || fields.get("MY_GRIDSQUARE") != null;
            parcels.add(new ServiceAdapter.Parcel(
                    placed ? fields : fields.with("MY_GRIDSQUARE", locator), numbers.get(delivery.key())));
        }
        Handover handover = new Handover();
        handover.serviceId = service.id();
        handover.askedBy = askedBy;
        handover.idempotencyKey = UUID.randomUUID().toString();
        handover.preparedAt = now;
        handover.contactIds = claimed.stream().mapToLong(Delivery::contactId).toArray();
        db.persist(handover);
        db.persist(HandoverContent.of(handover.number(), service.kind().pack(parcels, key)));
        claimed.forEach(delivery -> delivery.handoverId = handover.id);
        events.publishEvent(new LaneChanged(service.id()));
        return handover.number();
    }

    /** Contacts of the log that the service might count as one with some of these, by their call. */
    private Map<Call, List<LoggedContact>> twins(ServiceAccount service, Collection<LoggedContact> contacts) {
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
        return !waiting(deliveries.account(serviceId), 1).isEmpty();
    }

    /** The last contact in the newest letter that has not gone yet; 0 without one. */
    private long mailedUpTo(int serviceId) {
        return db.createQuery(
                        "select contactIds from Handover where serviceId = :service and state = :prepared and via = :mail"
                                + " order by serviceId desc, state desc, id desc",
                        long[].class)
                .setParameter("service", serviceId)
                .setParameter("prepared", Handover.State.PREPARED)
                .setParameter("mail", Handover.Via.MAIL)
                .setMaxResults(1)
                .getResultStream()
                .mapToLong(contacts -> contacts[contacts.length - 1])
                .findFirst()
                .orElse(0);
    }

    private List<Delivery> waiting(ServiceAccount service, int max) {
        return waiting(service, max, 0);
    }

    private List<Delivery> waiting(ServiceAccount service, int max, long afterId) {
        int serviceId = service.id();
        List<Delivery> waiting = new ArrayList<>();
        for (DeliveryState state : service.rules().statesThatGo()) {
            waiting.addAll(db.createQuery(
                            "from Delivery where serviceId = :service and state = :state and contactId > :after"
                                    + " and handoverId is null" + IN_ORDER,
                            Delivery.class)
                    .setParameter("service", serviceId)
                    .setParameter("state", state)
                    .setParameter("after", afterId)
                    .setMaxResults(max - waiting.size())
                    .getResultList());
            if (waiting.size() == max) {
                break;
            }
        }
        return waiting;
    }
}
