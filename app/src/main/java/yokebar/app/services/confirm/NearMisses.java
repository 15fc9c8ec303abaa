package yokebar.app.services.confirm;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.search.LogSearch;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.Services;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.call.NearCalls;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.services.confirm.ConfirmationMatch;
import yokebar.core.services.confirm.ConfirmedRecord;
import yokebar.core.services.confirm.NearMiss;
import yokebar.core.services.delivery.Choices;
import yokebar.core.services.delivery.DeliveryState;
import yokebar.core.services.delivery.ServiceRules;

/** Confirmations that fit no contact, each beside the contacts it may be of. */
@Service
class NearMisses {
    private static final int SHOWN = 100;
    private static final int GUESSES = 3;

    private final EntityManager db;
    private final Services services;
    private final ContactLog log;
    private final LogSearch search;
    private final ApplicationEventPublisher events;

    NearMisses(
            EntityManager db, Services services, ContactLog log, LogSearch search, ApplicationEventPublisher events) {
        this.db = db;
        this.services = services;
        this.log = log;
        this.search = search;
        this.events = events;
    }

    /**
     * A confirmation without a contact.
     *
     * @param guesses contacts it may be of, the likeliest first; empty when there is none like it
     */
    record Unmatched(
            long id,
            String ownCall,
            String call,
            String band,
            String mode,
            Instant start,
            @Nullable String locator,
            @Nullable String remark,
            Instant receivedAt,
            List<Guess> guesses) {}

    /**
     * A contact a confirmation may be of.
     *
     * @param confirmed whether the service confirmed it as it stands, so that it is most likely not to be corrected
     * @param correction what to write into the contact so that it fits, ADIF names to values; empty takes a field away
     */
    record Guess(
            LogLine contact,
            boolean confirmed,
            List<NearMiss.Difference> differences,
            Map<String, String> correction) {}

    /** The latest of them, those with a likely contact first. */
    @Transactional(readOnly = true)
    public List<Unmatched> of(int serviceId) {
        List<ConfirmationRow> rows = db.createQuery(
                        "from ConfirmationRow where serviceId = :service and contactId is null and not setAside"
                                + " order by id desc",
                        ConfirmationRow.class)
                .setParameter("service", serviceId)
                .setMaxResults(SHOWN)
                .getResultList();
        ServiceRules rules = services.rules(serviceId);
        Choices choices = services.choices(serviceId);
        ConfirmationMatch.Terms terms = rules.agrees();
        Map<ConfirmationRow, List<NearMiss>> misses = new HashMap<>();
        Collection<LoggedContact> candidates = candidates(rows, terms);
        for (ConfirmationRow row : rows) {
            ConfirmedRecord record = row.record();
            if (record != null) {
                List<NearMiss> found =
                        NearMiss.of(record, candidates, terms, contact -> rules.confirms(contact, choices));
                misses.put(row, found.subList(0, Math.min(GUESSES, found.size())));
            }
        }
        Map<Long, LogLine> lines = lines(misses.values());
        List<Unmatched> likely = new ArrayList<>();
        List<Unmatched> others = new ArrayList<>();
        for (ConfirmationRow row : rows) {
            Unmatched unmatched = view(row, misses.getOrDefault(row, List.of()), lines);
            boolean open = unmatched.guesses().stream().anyMatch(guess -> !guess.confirmed());
            (open ? likely : others).add(unmatched);
        }
        likely.addAll(others);
        return likely;
    }

    /** The confirmation is of no contact of ours, or shall be looked at again. */
    @Transactional
    public void setAside(long confirmationId, boolean aside) {
        ConfirmationRow row = db.find(ConfirmationRow.class, confirmationId);
        if (row == null) {
            throw new Rejection("confirmation", "There is no such confirmation.");
        }
        row.setAside = aside;
        events.publishEvent(new LaneChanged(row.serviceId));
    }

    private Collection<LoggedContact> candidates(List<ConfirmationRow> rows, ConfirmationMatch.Terms terms) {
        WorkedBefore before = search.workedBefore();
        Set<ContactLog.Moment> moments = new LinkedHashSet<>();
        for (ConfirmationRow row : rows) {
            NearMiss.moments(row.startedAt).forEach(moment -> moments.add(new ContactLog.Moment(row.callSign, moment)));
            for (String same :
                    before.callsOf(CallParts.of(new Call(row.callSign)).base())) {
                moments.add(new ContactLog.Moment(same, row.startedAt));
            }
            for (String near : NearCalls.of(row.callSign, call -> before.has(CreditKind.CALL.key(call)))) {
                moments.add(new ContactLog.Moment(near, row.startedAt));
            }
        }
        return moments.isEmpty() ? List.of() : log.around(moments, NearMiss.widest(terms));
    }

    private Map<Long, LogLine> lines(Collection<List<NearMiss>> misses) {
        Map<Long, LogLine> lines = new HashMap<>();
        List<Long> ids = misses.stream()
                .flatMap(List::stream)
                .map(miss -> miss.contact().id())
                .distinct()
                .toList();
        log.lines(ids).forEach(line -> lines.put(line.id(), line));
        return lines;
    }

    private static Unmatched view(ConfirmationRow row, List<NearMiss> misses, Map<Long, LogLine> lines) {
        List<Guess> guesses = new ArrayList<>();
        ConfirmedRecord record = row.record();
        for (NearMiss miss : misses) {
            LogLine line = lines.get(miss.contact().id());
            if (line != null && record != null) {
                guesses.add(
                        new Guess(line, confirmed(line, row.serviceId), miss.differences(), miss.correction(record)));
            }
        }
        // The nearest stay in front among those alike.
        guesses.sort(Comparator.comparing(Guess::confirmed));
        return new Unmatched(
                row.number(),
                row.ownCall,
                row.callSign,
                row.band,
                row.submode == null ? row.mode : row.submode,
                row.startedAt,
                row.locator,
                row.remark,
                row.receivedAt,
                guesses);
    }

    private static boolean confirmed(LogLine line, int serviceId) {
        return line.seals().stream()
                .anyMatch(seal -> seal.service() == serviceId && seal.state().equals(DeliveryState.CONFIRMED.name()));
    }
}
