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
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
import yokebar.links.countersign.BatchReport;
import yokebar.links.countersign.Receipt;
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
    private final ContactLog log;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    HandoverDesk(
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
     * @return the handover's number, or empty when nothing is due
     */
    @Transactional
    public Optional<Long> prepare(int serviceId) {
        ServiceAdapter service = deliveries.adapter(serviceId);
        Instant now = clock.instant();
        StateTally tally = new StateTally();
        List<Delivery> waiting = waiting(serviceId, service.mostContacts());
        Map<Long, LoggedContact> contacts =
                log.find(waiting.stream().map(Delivery::contactId).toList());
        List<Delivery> claimed = new ArrayList<>();
        SigningIdentity identity = null;
        for (Delivery delivery : waiting) {
            LoggedContact contact = contacts.get(delivery.contactId());
            if (contact == null) {
                continue;
            }
            deliveries.applyRules(delivery, service, contact.contact(), now, tally);
            SigningIdentity needed = identityFor(serviceId, contact);
            identity = identity == null ? needed : identity;
            if (delivery.state.waitsToGo() && needed != null && needed.equals(identity)) {
                claimed.add(delivery);
            }
        }
        deliveries.store(tally);
        if (claimed.isEmpty() || identity == null) {
            return Optional.empty();
        }
        SigningKey key = identities
                .key(serviceId, identity.call(), identity.validFrom())
                .orElseThrow(() -> new IllegalStateException("the identity went away"));
        List<AdifFields> records = claimed.stream()
                .map(d -> service.render(contacts.get(d.contactId()).contact()))
                .toList();
        Handover handover = new Handover();
        handover.serviceId = serviceId;
        handover.idempotencyKey = UUID.randomUUID().toString();
        handover.preparedAt = now;
        handover.contactIds = claimed.stream().mapToLong(Delivery::contactId).toArray();
        handover.content = service.pack(records, key);
        db.persist(handover);
        for (int i = 0; i < claimed.size(); i++) {
            claimed.get(i).handoverId = handover.id;
            claimed.get(i).contentHash = hash(records.get(i));
        }
        events.publishEvent(new LaneChanged(serviceId));
        return Optional.of(handover.number());
    }

    /**
     * Notes that a try begins. A batch that was never sent is dropped instead when a contact in it was edited meanwhile, so
     * that what goes out is what the log says.
     *
     * @return the handover to send, or null when it was dropped
     */
    @Transactional
    public @Nullable Handover beginTry(long handoverId) {
        Handover handover = db.find(Handover.class, handoverId);
        if (handover == null || handover.state != Handover.State.PREPARED) {
            return null;
        }
        if (handover.attempts == 0 && editedSincePrepared(handover)) {
            deliveriesOf(handover).values().stream()
                    .filter(d -> Objects.equals(d.handoverId, handover.id))
                    .forEach(d -> d.handoverId = null);
            db.remove(handover);
            return null;
        }
        handover.attempts++;
        return handover;
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
        handover.receiptNumber = receipt.number();
        handover.receiptWords = shortened(receipt.words());
        handover.attempts = 0;
        handover.nextTryAt = now.plusSeconds(1);
        handover.trouble = null;
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
        for (int i = 0; i < handover.contactIds.length; i++) {
            Delivery delivery = byContact.get(handover.contactIds[i]);
            BatchReport.Result result = report.results().get(i);
            taken += result.taken() ? 1 : 0;
            LoggedContact contact = contacts.get(handover.contactIds[i]);
            if (delivery != null && contact != null && Objects.equals(delivery.handoverId, handover.id)) {
                settle(delivery, result, service, contact, now, tally);
            }
        }
        handover.state = Handover.State.REPORTED;
        handover.reportedAt = now;
        handover.taken = taken;
        handover.refused = handover.contactIds.length - taken;
        handover.nextTryAt = null;
        handover.trouble = null;
        finish(handover, tally);
    }

    private void settle(
            Delivery delivery,
            BatchReport.Result result,
            ServiceAdapter service,
            LoggedContact contact,
            Instant now,
            StateTally tally) {
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
        db.createQuery("from Handover where serviceId = :service and nextTryAt is not null", Handover.class)
                .setParameter("service", serviceId)
                .getResultStream()
                .forEach(h -> h.nextTryAt = clock.instant());
    }

    private void finish(Handover handover, StateTally tally) {
        deliveries.store(tally);
        events.publishEvent(new SealsChanged(boxed(handover.contactIds)));
        events.publishEvent(new LaneChanged(handover.serviceId));
    }

    private List<Delivery> waiting(int serviceId, int most) {
        List<Delivery> waiting = new ArrayList<>();
        for (DeliveryState state : List.of(DeliveryState.CHANGED, DeliveryState.DUE)) {
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
        List<Long> ids = Arrays.stream(handover.contactIds)
                .mapToObj(contact -> Delivery.id(contact, handover.serviceId))
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
