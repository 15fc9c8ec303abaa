package yokebar.app.confirm;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.delivery.Deliveries;
import yokebar.app.log.ContactLog;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.core.confirm.ConfirmationMatch;
import yokebar.core.confirm.ConfirmedRecord;
import yokebar.core.contact.LoggedContact;
import yokebar.links.countersign.ConfirmationPage;

/** Stores confirmations and finds the contacts they speak of. */
@Service
class Confirmations implements JourneySource {
    /** Countersign compares modes, and starts within half an hour. */
    private static final ConfirmationMatch.Terms TERMS = new ConfirmationMatch.Terms(Duration.ofMinutes(30), false);

    private final EntityManager db;
    private final ContactLog log;
    private final Deliveries deliveries;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Confirmations(
            EntityManager db, ContactLog log, Deliveries deliveries, Clock clock, ApplicationEventPublisher events) {
        this.db = db;
        this.log = log;
        this.deliveries = deliveries;
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
        List<LoggedContact> candidates = candidates(fresh);
        Set<Long> confirmed = new TreeSet<>();
        for (ConfirmationPage.Entry entry : fresh) {
            Optional<LoggedContact> contact = ConfirmationMatch.find(entry.record(), candidates, TERMS);
            contact.ifPresent(c -> confirmed.add(c.id()));
            db.persist(row(serviceId, entry, contact.map(LoggedContact::id)));
        }
        if (!confirmed.isEmpty()) {
            deliveries.confirmed(serviceId, confirmed);
            events.publishEvent(new ConfirmationReceived(serviceId, List.copyOf(confirmed)));
        }
        return fresh.size();
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        return db.createQuery("from ConfirmationRow where contactId = :id order by id", ConfirmationRow.class)
                .setParameter("id", contactId)
                .getResultStream()
                .map(row -> new JourneyStep(
                        row.fetchedAt,
                        JourneyStep.Kind.CONFIRMED,
                        "Confirmed by " + row.callSign + " at Countersign: they logged " + row.band + " " + row.mode
                                + " at " + row.startedAt.toString().substring(11, 16) + " UTC.",
                        null))
                .toList();
    }

    private Set<String> known(int serviceId, List<ConfirmationPage.Entry> entries) {
        return new HashSet<>(db.createQuery(
                        "select number from ConfirmationRow where serviceId = :service and number in :numbers",
                        String.class)
                .setParameter("service", serviceId)
                .setParameter(
                        "numbers",
                        entries.stream().map(ConfirmationPage.Entry::number).toList())
                .getResultList());
    }

    private List<LoggedContact> candidates(List<ConfirmationPage.Entry> entries) {
        Set<String> calls = new HashSet<>();
        Instant from = Instant.MAX;
        Instant until = Instant.MIN;
        for (ConfirmationPage.Entry entry : entries) {
            ConfirmedRecord record = entry.record();
            calls.add(record.call().text());
            from = record.start().isBefore(from) ? record.start() : from;
            until = record.start().isAfter(until) ? record.start() : until;
        }
        return log.around(calls, from.minus(TERMS.window()), until.plus(TERMS.window()));
    }

    private ConfirmationRow row(int serviceId, ConfirmationPage.Entry entry, Optional<Long> contactId) {
        ConfirmationRow row = new ConfirmationRow();
        row.serviceId = serviceId;
        row.number = entry.number();
        row.receivedAt = entry.receivedAt();
        row.fetchedAt = clock.instant();
        row.ownCall = entry.record().ownCall().text();
        row.callSign = entry.record().call().text();
        row.band = entry.record().band().adifName();
        row.mode = entry.record().mode().name();
        row.submode = entry.record().mode().submode();
        row.startedAt = entry.record().start();
        row.locator = entry.locator();
        row.contactId = contactId.orElse(null);
        return row;
    }
}
