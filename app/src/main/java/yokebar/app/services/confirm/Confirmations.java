package yokebar.app.services.confirm;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.store.ContactLog;
import yokebar.app.services.delivery.ContactsAccepted;
import yokebar.app.services.delivery.LaneChanged;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.ledger.Deliveries;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.confirm.ConfirmationMatch;
import yokebar.core.services.confirm.ConfirmedRecord;
import yokebar.core.services.delivery.Choices;
import yokebar.core.services.delivery.ServiceRules;
import yokebar.links.services.delivery.ConfirmationPage;

/** Stores confirmations and finds the contacts they speak of, also when either comes or changes later. */
@Service
class Confirmations implements JourneySource {
    private final EntityManager db;
    private final ContactLog log;
    private final Deliveries deliveries;
    private final Services services;
    private final Novelty novelty;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    /** Calls with a confirmation that fits no contact, so that logging asks the database only about those. */
    private volatile @Nullable Set<String> unmatchedCalls;

    Confirmations(
            EntityManager db,
            ContactLog log,
            Deliveries deliveries,
            Services services,
            Novelty novelty,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.log = log;
        this.deliveries = deliveries;
        this.services = services;
        this.novelty = novelty;
        this.clock = clock;
        this.events = events;
    }

    /**
     * Stores those of a page that are new.
     *
     * @return how many of them were new
     */
    @Transactional
    public int take(int serviceId, List<ConfirmationPage.Entry> entries) {
        Set<String> known = known(serviceId, entries);
        List<ConfirmationPage.Entry> fresh =
                entries.stream().filter(e -> known.add(e.number())).toList();
        if (fresh.isEmpty()) {
            return 0;
        }
        List<ConfirmationRow> rows =
                fresh.stream().map(entry -> row(serviceId, entry)).toList();
        match(serviceId, rows);
        rows.forEach(db::persist);
        Set<String> unmatched = unmatchedCalls;
        if (unmatched != null) {
            rows.stream().filter(row -> row.contactId == null).forEach(row -> unmatched.add(row.callSign));
        }
        events.publishEvent(new LaneChanged(serviceId));
        return fresh.size();
    }

    /** Finds the contacts that rows speak of, and tells. */
    private void match(int serviceId, Collection<ConfirmationRow> rows) {
        ServiceRules rules = services.rules(serviceId);
        Choices choices = services.choices(serviceId);
        ConfirmationMatch.Terms terms = rules.agrees();
        Map<String, List<LoggedContact>> byCall = log
                .around(
                        rows.stream()
                                .map(row -> new ContactLog.Moment(row.callSign, row.startedAt))
                                .toList(),
                        terms.window())
                .stream()
                .collect(Collectors.groupingBy(
                        contact -> contact.contact().call().text()));
        Map<Long, LoggedContact> confirmed = new TreeMap<>();
        Set<String> brought = new HashSet<>();
        for (ConfirmationRow row : rows) {
            ConfirmedRecord record = row.record();
            List<LoggedContact> candidates = byCall.getOrDefault(row.callSign, List.of()).stream()
                    .filter(candidate -> rules.confirms(candidate.contact(), choices))
                    .toList();
            Optional<LoggedContact> contact =
                    record == null ? Optional.empty() : ConfirmationMatch.find(record, candidates, terms);
            row.contactId = contact.map(LoggedContact::id).orElse(null);
            contact.ifPresent(found -> {
                row.brings = novelty.of(found, brought);
                confirmed.put(found.id(), found);
            });
        }
        if (!confirmed.isEmpty()) {
            deliveries.confirmed(serviceId, confirmed.keySet());
            List<ConfirmationReceived.First> firsts = new ArrayList<>();
            for (ConfirmationRow row : rows) {
                if (row.brings != null) {
                    firsts.add(new ConfirmationReceived.First(services.name(serviceId), row.callSign, row.brings));
                }
            }
            events.publishEvent(new ConfirmationReceived(serviceId, List.copyOf(confirmed.keySet()), firsts));
        }
    }

    /** A confirmation may have come before its contact was in the log. Runs inside the transaction that stores them. */
    @EventListener
    void logged(ContactsLogged event) {
        matchWaiting(calls(event.contacts()));
    }

    /** What was confirmed before the service took it, or while it went there again, is confirmed now. */
    @EventListener
    void accepted(ContactsAccepted event) {
        List<Long> confirmed = db.createNativeQuery(
                        "select distinct c.contact_id from unnest(:ids) as w(id) join confirmation c"
                                + " on c.contact_id = w.id and c.service_id = :service",
                        Long.class)
                .setParameter("ids", event.contactIds().toArray(Long[]::new))
                .setParameter("service", event.serviceId())
                .getResultList();
        if (!confirmed.isEmpty()) {
            deliveries.confirmed(event.serviceId(), confirmed);
        }
    }

    @EventListener
    void restored(ContactsRestored event) {
        matchWaiting(calls(event.contacts()));
    }

    /** Corrected contacts may fit what did not fit before, and the other way round. */
    @EventListener
    void changed(ContactsChanged event) {
        List<LoggedContact> after =
                event.changes().stream().map(ContactsChanged.Change::after).toList();
        letGo(after.stream().collect(Collectors.toMap(LoggedContact::id, contact -> contact)));
        matchWaiting(calls(after));
    }

    @EventListener
    void deleted(ContactsDeleted event) {
        letGo(event.ids().stream().collect(HashMap::new, (map, id) -> map.put(id, null), HashMap::putAll));
    }

    /** Confirmations that no longer fit the contact they were given to wait for another. */
    private void letGo(Map<Long, @Nullable LoggedContact> contacts) {
        List<ConfirmationRow> given = db.createNativeQuery(
                        "select c.* from unnest(:ids) as w(id) join confirmation c on c.contact_id = w.id",
                        ConfirmationRow.class)
                .setParameter("ids", contacts.keySet().toArray(Long[]::new))
                .getResultList();
        Map<Integer, Set<Long>> lost = new TreeMap<>();
        for (ConfirmationRow row : given) {
            Long contactId = row.contactId;
            LoggedContact contact = contactId == null ? null : contacts.get(contactId);
            ConfirmedRecord record = row.record();
            boolean fits = contact != null
                    && record != null
                    && ConfirmationMatch.matches(
                            contact.contact(),
                            record,
                            services.rules(row.serviceId).agrees())
                    && services.rules(row.serviceId).confirms(contact.contact(), services.choices(row.serviceId));
            if (!fits && contactId != null) {
                lost.computeIfAbsent(row.serviceId, id -> new TreeSet<>()).add(contactId);
                row.contactId = null;
                row.brings = null;
                unmatched().add(row.callSign);
            }
        }
        lost.forEach((serviceId, ids) -> {
            db.flush();
            ids.removeIf(id -> !of(id).isEmpty());
            deliveries.disproved(serviceId, ids);
        });
    }

    private void matchWaiting(Set<String> calls) {
        Set<String> unmatched = unmatched();
        if (unmatched.isEmpty()) {
            return;
        }
        calls.retainAll(unmatched);
        if (calls.isEmpty()) {
            return;
        }
        Map<Integer, List<ConfirmationRow>> waiting = db.createQuery(
                        "from ConfirmationRow where contactId is null and callSign in :calls order by id",
                        ConfirmationRow.class)
                .setParameter("calls", calls)
                .getResultStream()
                .collect(Collectors.groupingBy(row -> row.serviceId));
        waiting.forEach((serviceId, rows) -> {
            match(serviceId, rows);
            events.publishEvent(new LaneChanged(serviceId));
        });
    }

    private static Set<String> calls(Collection<LoggedContact> contacts) {
        return contacts.stream()
                .map(contact -> contact.contact().call().text())
                .collect(Collectors.toCollection(HashSet::new));
    }

    /** Too many rather than too few: a call stays in it until the next start. */
    private Set<String> unmatched() {
        Set<String> known = unmatchedCalls;
        if (known == null) {
            known = java.util.concurrent.ConcurrentHashMap.newKeySet();
            known.addAll(db.createQuery(
                            "select distinct callSign from ConfirmationRow where contactId is null", String.class)
                    .getResultList());
            unmatchedCalls = known;
        }
        return known;
    }

    private List<ConfirmationRow> of(long contactId) {
        return db.createQuery("from ConfirmationRow where contactId = :id order by id", ConfirmationRow.class)
                .setParameter("id", contactId)
                .getResultList();
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        List<JourneyStep> steps = new ArrayList<>();
        for (ConfirmationRow row : of(contactId)) {
            String locator = row.locator == null ? "" : " from " + row.locator;
            String brought = row.brings == null ? "" : " It brought " + row.brings + ".";
            String remark = row.remark == null ? "" : " They wrote: " + row.remark;
            steps.add(JourneyStep.of(
                    row.fetchedAt,
                    JourneyStep.Kind.CONFIRMED,
                    "Confirmed by " + row.callSign + " at " + services.name(row.serviceId) + ": they logged " + row.band
                            + " " + (row.submode == null ? row.mode : row.submode) + " at "
                            + row.startedAt.toString().substring(11, 16) + " UTC" + locator + "." + brought + remark,
                    null));
        }
        return steps;
    }

    private Set<String> known(int serviceId, List<ConfirmationPage.Entry> entries) {
        if (entries.isEmpty()) {
            return new HashSet<>();
        }
        // Joined to the numbers, so that each is one look into the index; given "in (…)", H2 compares all with each.
        return new HashSet<>(db.createNativeQuery(
                        "select c.number from unnest(:numbers) as w(number) join confirmation c"
                                + " on c.service_id = :service and c.number = w.number",
                        String.class)
                .setParameter("service", serviceId)
                .setParameter(
                        "numbers",
                        entries.stream().map(ConfirmationPage.Entry::number).toArray(String[]::new))
                .getResultList());
    }

    private ConfirmationRow row(int serviceId, ConfirmationPage.Entry entry) {
        Instant now = clock.instant();
        ConfirmationRow row = new ConfirmationRow();
        row.serviceId = serviceId;
        row.number = entry.number();
        row.receivedAt = entry.receivedAt();
        row.fetchedAt = now;
        row.ownCall = entry.record().ownCall().text();
        row.callSign = entry.record().call().text();
        row.band = entry.record().band().adifName();
        row.mode = entry.record().mode().name();
        row.submode = entry.record().mode().submode();
        row.startedAt = entry.record().start();
        row.locator = entry.locator() == null || entry.locator().length() > 10 ? null : entry.locator();
        row.remark = entry.remark();
        row.picture = entry.picture() == null || entry.picture().length() > 200 ? null : entry.picture();
        return row;
    }
}
