package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ContactLog;
import yokebar.app.log.SealsChanged;
import yokebar.core.adif.AdiWriter;
import yokebar.core.adif.AdifFields;
import yokebar.core.contact.LoggedContact;
import yokebar.core.delivery.DeliveryEvent;
import yokebar.core.delivery.DeliveryState;
import yokebar.core.delivery.SigningIdentity;
import yokebar.links.delivery.BatchReport;
import yokebar.links.delivery.Receipt;
import yokebar.links.delivery.Submission;
import yokebar.links.identity.SigningKey;

/**
 * The steps of a handover that touch the log, each one transaction: prepare, given, reported, refused. Sending lies between
 * them and touches nothing.
 */
@Service
class HandoverDesk {
    private final EntityManager db;
    private final Deliveries deliveries;
    private final Identities identities;
    private final Services services;
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    HandoverDesk(
            EntityManager db,
            Deliveries deliveries,
            Identities identities,
            Services services,
            ContactLog log,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.deliveries = deliveries;
        this.identities = identities;
        this.services = services;
        this.log = log;
        this.clock = clock;
        this.events = events;
    }

    /** The handovers of a service in a state, the oldest first. */
    @Transactional(readOnly = true)
    public List<Handover> in(int serviceId, Handover.State state) {
        return db.createQuery("from Handover where serviceId = :service and state = :state order by id", Handover.class)
                .setParameter("service", serviceId)
                .setParameter("state", state)
                .getResultList();
    }

    /** Whether a handover of a service is on its way. */
    @Transactional(readOnly = true)
    public boolean anyOpen(int serviceId) {
        return db.createQuery("select count(*) from Handover where serviceId = :service and state in :open", Long.class)
                        .setParameter("service", serviceId)
                        .setParameter("open", List.of(Handover.State.PREPARED, Handover.State.GIVEN))
                        .getSingleResult()
                > 0;
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
        List<Delivery> chosen = deliveriesOf(serviceId, contactIds).values().stream()
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
            handover.receiptWords = shortened(receipt.words());
            handover.nextTryAt = clock.instant();
            handover.attempts = 0;
            handover.trouble = null;
            events.publishEvent(new LaneChanged(handover.serviceId));
        }
    }

    private Optional<Long> prepare(ServiceAdapter service, List<Delivery> waiting) {
        int serviceId = service.serviceId();
        Instant now = clock.instant();
        StateTally tally = new StateTally();
        Map<Long, LoggedContact> contacts =
                log.find(waiting.stream().map(Delivery::contactId).toList());
        List<LoggedContact> twins = twins(service, contacts.values());
        List<Delivery> claimed = new ArrayList<>();
        SigningIdentity identity = null;
        for (Delivery delivery : waiting) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact == null) {
                continue;
            }
            deliveries.applyRules(delivery, service, contact.contact(), now, tally);
            if (delivery.state == DeliveryState.DUE) {
                deliveries.holdTwin(delivery, service, contact, twins, now, tally);
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
        List<ServiceAdapter.Parcel> parcels = new ArrayList<>();
        for (Delivery delivery : claimed) {
            RemoteContact known = db.find(RemoteContact.class, delivery.id);
            parcels.add(new ServiceAdapter.Parcel(
                    service.render(contacts.get(delivery.contactId()).contact()), known == null ? null : known.number));
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
            claimed.get(i).contentHash = hash(parcels.get(i).fields());
        }
        events.publishEvent(new LaneChanged(service.serviceId()));
        return handover.number();
    }

    /** Contacts of the log that the service might count as one with some of these. */
    private List<LoggedContact> twins(ServiceAdapter service, Collection<LoggedContact> contacts) {
        Duration apart = service.rules().countsOnce();
        if (apart.isZero() || contacts.isEmpty()) {
            return List.of();
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
        return log.around(calls, from.minus(apart), until);
    }

    /** What is known of a batch before it is tried. */
    enum Beginning {
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
        deliveriesOf(handover).values().stream()
                .filter(d -> Objects.equals(d.handoverId, handover.id))
                .forEach(d -> d.handoverId = null);
        db.remove(handover);
        events.publishEvent(new LaneChanged(handover.serviceId));
    }

    @Transactional(readOnly = true)
    public Handover get(long handoverId) {
        return db.find(Handover.class, handoverId);
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
        handover.receiptWords = shortened(receipt.words());
        handover.attempts = 0;
        handover.nextTryAt = now.plusSeconds(1);
        handover.trouble = null;
        services.handedOver(handover.serviceId, now);
        StateTally tally = new StateTally();
        deliveriesOf(handover).values().stream()
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
        ServiceAdapter service = deliveries.adapter(handover.serviceId);
        Map<Long, Delivery> byContact = deliveriesOf(handover);
        Map<Long, LoggedContact> contacts = log.find(boxed(handover.contactIds));
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
                remember(Delivery.id(contactId, handover.serviceId), handover.serviceId, result.number(), delivery);
            }
            if (delivery != null && contact != null && Objects.equals(delivery.handoverId, handover.id)) {
                settle(delivery, result, service, contact, now, tally);
            }
        }
        handover.state = Handover.State.REPORTED;
        handover.reportedAt = now;
        handover.taken = taken;
        handover.refused = refused;
        handover.nextTryAt = null;
        handover.trouble = null;
        finish(handover, tally);
        if (taken > 0) {
            services.proven(handover.serviceId);
            events.publishEvent(new ContactsAccepted(handover.serviceId, boxed(handover.contactIds)));
        }
    }

    /** Keeps what the service calls the contact; one that was deleted here meanwhile is to be deleted there. */
    private void remember(long deliveryId, int serviceId, String number, @Nullable Delivery delivery) {
        RemoteContact remote = new RemoteContact();
        remote.deliveryId = deliveryId;
        remote.number = number;
        db.merge(remote);
        if (delivery == null && deliveries.adapter(serviceId).rules().takesBack()) {
            Withdrawal withdrawal = new Withdrawal();
            withdrawal.deliveryId = deliveryId;
            withdrawal.serviceId = serviceId;
            withdrawal.number = number;
            withdrawal.askedAt = clock.instant();
            db.merge(withdrawal);
        }
    }

    /** What is to be deleted at a service, the oldest first. */
    @Transactional(readOnly = true)
    public List<Withdrawal> withdrawals(int serviceId, int most) {
        return db.createQuery(
                        "from Withdrawal where serviceId = :service and trouble is null order by deliveryId",
                        Withdrawal.class)
                .setParameter("service", serviceId)
                .setMaxResults(most)
                .getResultList();
    }

    @Transactional
    public void withdrawn(long deliveryId) {
        for (Class<?> kind : List.of(Withdrawal.class, RemoteContact.class)) {
            Object stored = db.find(kind, deliveryId);
            if (stored != null) {
                db.remove(stored);
            }
        }
    }

    @Transactional
    public void notWithdrawn(long deliveryId, String trouble) {
        Withdrawal withdrawal = db.find(Withdrawal.class, deliveryId);
        if (withdrawal != null) {
            withdrawal.trouble = shortened(trouble);
            events.publishEvent(new LaneChanged(withdrawal.serviceId));
        }
    }

    private void settle(
            Delivery delivery,
            BatchReport.Result result,
            ServiceAdapter service,
            LoggedContact contact,
            Instant now,
            StateTally tally) {
        if (result.equals(BatchReport.Result.ABSENT)) {
            delivery.apply(DeliveryEvent.TAKEN_BACK, null, now, tally);
            delivery.handoverId = null;
            deliveries.applyRules(delivery, service, contact.contact(), now, tally);
            return;
        }
        boolean edited = !Objects.equals(delivery.contentHash, hash(service.render(contact.contact())));
        if (!result.taken()) {
            delivery.apply(DeliveryEvent.REJECTED, result.words(), now, tally);
            deliveries.refusedNote(contact.id(), service.rules().serviceName(), result.words());
        } else {
            delivery.apply(DeliveryEvent.LISTED, null, now, tally);
        }
        if (edited) {
            delivery.apply(DeliveryEvent.CONTENT_CHANGED, null, now, tally);
            deliveries.applyRules(delivery, service, contact.contact(), now, tally);
        }
    }

    /** The service would not have the batch at all; every contact in it is refused with the service's words. */
    @Transactional
    public void refused(long handoverId, String words) {
        Handover handover = db.find(Handover.class, handoverId);
        Instant now = clock.instant();
        handover.state = Handover.State.REFUSED;
        handover.trouble = shortened(words);
        handover.nextTryAt = null;
        StateTally tally = new StateTally();
        for (Delivery delivery : deliveriesOf(handover).values()) {
            if (Objects.equals(delivery.handoverId, handover.id)) {
                delivery.apply(DeliveryEvent.REJECTED, words, now, tally);
            }
        }
        finish(handover, tally);
    }

    /** A try failed, or there was nothing to hear yet; says when to try again, and what is in the way if anything is. */
    @Transactional
    public void tryAgain(long handoverId, Duration pause, @Nullable String trouble) {
        Handover handover = db.find(Handover.class, handoverId);
        handover.nextTryAt = clock.instant().plus(pause);
        handover.trouble = trouble == null ? null : shortened(trouble);
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
        deliveries.store(tally);
        events.publishEvent(new SealsChanged(boxed(handover.contactIds)));
        events.publishEvent(new LaneChanged(handover.serviceId));
    }

    /** How many contacts wait to go. */
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

    private boolean editedSincePrepared(Handover handover) {
        ServiceAdapter service = deliveries.adapter(handover.serviceId);
        Map<Long, LoggedContact> contacts = log.find(boxed(handover.contactIds));
        Map<Long, Delivery> claimed = deliveriesOf(handover);
        // One that was deleted since must not go out with the others.
        return claimed.size() < handover.contactIds.length
                || claimed.values().stream().anyMatch(delivery -> {
                    LoggedContact contact = contacts.get(delivery.contactId());
                    return !delivery.claimed()
                            || contact == null
                            || !Objects.equals(delivery.contentHash, hash(service.render(contact.contact())));
                });
    }

    private Map<Long, Delivery> deliveriesOf(Handover handover) {
        return deliveriesOf(handover.serviceId, boxed(handover.contactIds));
    }

    private Map<Long, Delivery> deliveriesOf(int serviceId, List<Long> contactIds) {
        List<Long> ids = contactIds.stream()
                .map(contact -> Delivery.id(contact, serviceId))
                .toList();
        return db.createQuery("from Delivery where id in :ids", Delivery.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(Delivery::contactId, Function.identity()));
    }

    private static long hash(AdifFields fields) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest(AdiWriter.text(fields).getBytes(StandardCharsets.UTF_8));
            return java.nio.ByteBuffer.wrap(digest).getLong();
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private static List<Long> boxed(long[] ids) {
        return Arrays.stream(ids).boxed().toList();
    }

    private static String shortened(String text) {
        return text.length() <= 600 ? text : text.substring(0, 599) + "…";
    }
}
