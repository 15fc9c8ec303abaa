package yokebar.app.services.delivery;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.store.ContactIds;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.handover.HandoverRequests;
import yokebar.app.services.delivery.identity.Enrolment;
import yokebar.app.services.delivery.identity.Identities;
import yokebar.app.services.delivery.identity.IdentityRequestRow;
import yokebar.app.services.delivery.identity.SigningIdentityRow;
import yokebar.app.services.delivery.ledger.Delivery;
import yokebar.app.services.delivery.ledger.DeliveryCounts;
import yokebar.app.sources.hookup.HookupView;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.Eligibility;
import yokebar.core.services.delivery.Hold;
import yokebar.core.services.delivery.HoldSentence;

/** Reads what the Services view shows. */
@Service
class Lanes {
    private static final int HANDOVERS_SHOWN = 20;
    private static final int PROBLEMS_SHOWN = 200;
    private static final int REASONS_SHOWN = 50;
    private static final int MAX_AT_ONCE = 100_000;

    private final EntityManager db;
    private final Services services;
    private final ServiceAccounts accounts;
    private final DeliveryCounts counts;
    private final Identities identities;
    private final Enrolment enrolment;
    private final ServiceLines lines;
    private final HandoverRequests requests;
    private final ContactLog log;
    private final ContactIds contactIds;
    private final ReceivedConfirmations confirmations;

    Lanes(
            EntityManager db,
            Services services,
            ServiceAccounts accounts,
            DeliveryCounts counts,
            Identities identities,
            Enrolment enrolment,
            ServiceLines lines,
            HandoverRequests requests,
            ContactLog log,
            ContactIds contactIds,
            ReceivedConfirmations confirmations) {
        this.db = db;
        this.services = services;
        this.accounts = accounts;
        this.counts = counts;
        this.identities = identities;
        this.enrolment = enrolment;
        this.lines = lines;
        this.requests = requests;
        this.log = log;
        this.contactIds = contactIds;
        this.confirmations = confirmations;
    }

    @Transactional(readOnly = true)
    public List<LaneView> all() {
        return services.ids().stream().map(this::lane).toList();
    }

    @Transactional(readOnly = true)
    public LaneView lane(int serviceId) {
        ServiceRow row = services.row(serviceId);
        ServiceAccount account = services.account(serviceId);
        Map<DeliveryState, Long> inState = counts.counts(serviceId);
        Map<String, Long> named = new LinkedHashMap<>();
        for (DeliveryState state : DeliveryState.values()) {
            named.put(state.name(), inState.getOrDefault(state, 0L));
        }
        long due = counts.due(serviceId);
        return new LaneView(
                row.id,
                account.name(),
                account.rules().serviceName(),
                row.inUse,
                accounts.whyItStays(serviceId) == null,
                account.rules().byHand(),
                account.rules().signed(),
                account.kind().access(),
                row.address,
                row.account,
                services.hasPassword(row),
                services.secretNotice(row),
                services.complete(serviceId),
                row.sendWhen,
                row.everyMinutes,
                row.paused,
                row.proven,
                !account.rules().waysOnRequest().isEmpty(),
                row.takesRelayed,
                row.ownCalls,
                row.fromDay,
                row.fetchEverySeconds,
                account.kind().confirms(),
                row.confirmationsUntil,
                row.sweptUntil,
                lines.coupled(serviceId).map(HookupView::of).orElse(null),
                named,
                due,
                counts.waiting(serviceId),
                row.filledTo,
                requests.progress(serviceId, due),
                count("select count(*) from Withdrawal where serviceId = :service", serviceId),
                withdrawalTrouble(serviceId),
                confirmations.unmatched(serviceId),
                identities.installed(serviceId).stream().map(this::view).toList(),
                enrolment.waiting(serviceId).stream().map(Lanes::view).toList(),
                handovers(serviceId));
    }

    private LaneView.IdentityView view(SigningIdentityRow row) {
        return new LaneView.IdentityView(
                row.number(),
                row.callSign,
                row.validFrom,
                row.validUntil,
                row.certificateEnds,
                identities.isToBeRenewed(row),
                row.placeId,
                identities.notice(row));
    }

    private static LaneView.RequestView view(IdentityRequestRow row) {
        return new LaneView.RequestView(
                row.identifier(), row.callSign, row.number, row.words, row.askedAt, row.postalAddress);
    }

    private long count(String query, int serviceId) {
        return db.createQuery(query, Long.class)
                .setParameter("service", serviceId)
                .getSingleResult();
    }

    private @Nullable String withdrawalTrouble(int serviceId) {
        return db.createQuery(
                        "select trouble from Withdrawal where serviceId = :service and trouble is not null",
                        String.class)
                .setParameter("service", serviceId)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .orElse(null);
    }

    /**
     * What a handover would do.
     *
     * @param going contacts that would go, by own call
     * @param handovers how many batches that makes
     * @param held what stays and why, the largest first
     */
    record Outlook(List<ContactIds.OwnCallSpan> going, long handovers, List<HeldBack> held) {}

    /**
     * Contacts held for one reason, and what can be done about all of them.
     *
     * @param key names the reason: the rule and what it is about
     * @param reason in words
     * @param field ADIF name of the field that is missing; empty for other rules
     */
    record HeldBack(String key, String reason, long contacts, List<Eligibility.Remedy> remedies, String field) {}

    /** What a handover now would do, without doing it. */
    @Transactional(readOnly = true)
    public Outlook outlook(int serviceId) {
        ServiceAccount account = services.account(serviceId);
        List<ContactIds.OwnCallSpan> going = contactIds.byOwnCall(waiting(serviceId));
        long batches = going.stream()
                .mapToLong(one -> (one.contacts() + account.kind().maxBatchSize() - 1)
                        / account.kind().maxBatchSize())
                .sum();
        List<Tuple> reasons = db.createNativeQuery(
                        "select hold_rule, coalesce(hold_subject, ''), count(*), coalesce(min(hold_detail), ''),"
                                + " coalesce(max(hold_detail), ''), max(reason) from delivery where service_id = :service"
                                + " and state = 'HELD' group by hold_rule, hold_subject order by 3 desc limit "
                                + REASONS_SHOWN,
                        Tuple.class)
                .setParameter("service", serviceId)
                .getResultList();
        List<HeldBack> held =
                reasons.stream().map(row -> heldBack(row, account.name())).toList();
        return new Outlook(going, batches, held);
    }

    private static HeldBack heldBack(Tuple row, String serviceName) {
        Hold hold = Hold.by(Eligibility.Rule.valueOf(row.get(0, String.class))).of(row.get(1, String.class));
        String detail = row.get(3, String.class);
        boolean sameForAll = detail.equals(row.get(4, String.class));
        // What an earlier edition held is in words until it is looked at again.
        String inWords = row.get(5, String.class);
        return new HeldBack(
                hold.key(),
                inWords != null ? inWords : HoldSentence.of(sameForAll ? hold.saying(detail) : hold, serviceName),
                number(row, 2),
                hold.rule().remedies(),
                hold.rule() == Eligibility.Rule.FIELD_MISSING ? hold.subject() : "");
    }

    private static long number(Tuple row, int column) {
        return row.get(column, Number.class).longValue();
    }

    /**
     * The ids of contacts held for one reason.
     *
     * @param key the reason's, as {@link HeldBack} has it
     */
    @Transactional(readOnly = true)
    public List<Long> held(int serviceId, String key) {
        Hold hold;
        try {
            hold = Hold.ofKey(key);
        } catch (IllegalArgumentException e) {
            throw new Rejection("key", "\"" + key + "\" is not a reason for holding contacts.");
        }
        return db.createQuery(
                        "select contactId from Delivery where serviceId = :service and state = :held and holdRule = :rule"
                                + " and coalesce(holdSubject, '') = :subject",
                        Long.class)
                .setParameter("service", serviceId)
                .setParameter("held", DeliveryState.HELD)
                .setParameter("rule", hold.rule())
                .setParameter("subject", hold.subject())
                .setMaxResults(MAX_AT_ONCE)
                .getResultList();
    }

    /** The contacts that wait to go and start within a span, by number. */
    @Transactional(readOnly = true)
    public List<Long> due(int serviceId, Instant from, Instant until) {
        return contactIds.startingBetween(waiting(serviceId), from, until, MAX_AT_ONCE);
    }

    /** The contacts that wait to go and lie in no batch yet. */
    private List<Long> waiting(int serviceId) {
        return db.createQuery(
                        "select contactId from Delivery where serviceId = :service and state in :states and handoverId is null",
                        Long.class)
                .setParameter("service", serviceId)
                .setParameter("states", services.rules(serviceId).statesThatGo())
                .getResultList();
    }

    /** Contacts that stand in a state at a service, the newest first. */
    @Transactional(readOnly = true)
    public List<LogLine> contacts(int serviceId, DeliveryState state) {
        List<Long> ids = db.createQuery(
                        "from Delivery where serviceId = :service and state = :state order by serviceId desc, state desc, contactId desc",
                        Delivery.class)
                .setParameter("service", serviceId)
                .setParameter("state", state)
                .setMaxResults(PROBLEMS_SHOWN)
                .getResultStream()
                .map(Delivery::contactId)
                .toList();
        return log.lines(ids);
    }

    /** Without their content: this is read whenever something about the lane is different. */
    private List<LaneView.HandoverView> handovers(int serviceId) {
        return db.createQuery(
                        "select id, state, via, contactIds, preparedAt, attempts, nextTryAt, trouble, givenAt,"
                                + " receiptNumber, receiptWords, reportedAt, taken, refused, askedBy"
                                + " from Handover where serviceId = :service order by serviceId desc, id desc",
                        Tuple.class)
                .setParameter("service", serviceId)
                .setMaxResults(HANDOVERS_SHOWN)
                .getResultStream()
                .map(LaneView.HandoverView::of)
                .toList();
    }
}
