package yokebar.app.services.card;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.LogLine;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.ServiceAccounts;
import yokebar.app.services.delivery.ledger.Deliveries;
import yokebar.core.basics.call.Call;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.delivery.DeliveryEvent;

/** The cards on their way: wanted, sent, received. Where each stands is its delivery to the service "Paper". */
@Service
class PaperCards implements JourneySource {
    private static final int SHOWN = 300;
    private static final int MAX_AT_ONCE = 5000;
    /** What stands on our cards and labels as a bar code. */
    private static final Pattern CODE = Pattern.compile("\\s*YB-?(\\d{1,12})\\s*", Pattern.CASE_INSENSITIVE);

    private final EntityManager db;
    private final ContactLog log;
    private final Deliveries deliveries;
    private final ServiceAccounts accounts;
    private final Clock clock;

    PaperCards(EntityManager db, ContactLog log, Deliveries deliveries, ServiceAccounts accounts, Clock clock) {
        this.db = db;
        this.log = log;
        this.deliveries = deliveries;
        this.accounts = accounts;
        this.clock = clock;
    }

    private int paper() {
        return accounts.paper().id();
    }

    /** Which cards are wanted to be seen. */
    enum Pile {
        TO_SEND,
        SENT,
        RECEIVED
    }

    /** A card as the desk shows it. */
    record CardView(
            LogLine contact,
            PaperCardRow.Via via,
            @Nullable String manager,
            @Nullable String note,
            @Nullable Instant sentAt,
            @Nullable Instant receivedAt) {}

    /** How many there are in each pile. */
    record Piles(long toSend, long sent, long received) {}

    static String code(long contactId) {
        return "YB-" + contactId;
    }

    /** The operator wants cards for these, or for them to go another way. */
    @Transactional
    public void want(List<Long> contactIds, PaperCardRow.Via via, @Nullable String manager) {
        if (contactIds.isEmpty() || contactIds.size() > MAX_AT_ONCE) {
            throw new Rejection("contactIds", "Choose 1 to 5 000 contacts.");
        }
        Call managerCall = manager == null || manager.isBlank() ? null : Call.read(manager);
        if (via == PaperCardRow.Via.MANAGER && managerCall == null) {
            throw new Rejection("manager", "Whose manager? Give a call.");
        }
        for (long contactId : contactIds) {
            PaperCardRow row = card(contactId);
            row.via = via;
            row.manager = via == PaperCardRow.Via.MANAGER && managerCall != null ? managerCall.text() : null;
        }
        deliveries.wanted(paper(), contactIds);
    }

    /** They lie in the letter box now. */
    @Transactional
    public void sent(List<Long> contactIds) {
        for (long contactId : contactIds) {
            card(contactId).sentAt = clock.instant();
        }
        deliveries.wanted(paper(), contactIds);
        deliveries.happened(paper(), contactIds, DeliveryEvent.HANDED_OVER);
    }

    /** The other stations' cards came. */
    @Transactional
    public void received(List<Long> contactIds) {
        for (long contactId : contactIds) {
            card(contactId).receivedAt = clock.instant();
        }
        deliveries.wanted(paper(), contactIds);
        deliveries.confirmed(paper(), contactIds);
    }

    /** They were not sent after all, or no card came. */
    @Transactional
    public void takeBack(List<Long> contactIds, Pile pile) {
        for (long contactId : contactIds) {
            PaperCardRow row = card(contactId);
            if (pile == Pile.RECEIVED) {
                row.receivedAt = null;
                deliveries.disproved(paper(), List.of(contactId));
                if (row.sentAt == null) {
                    deliveries.happened(paper(), List.of(contactId), DeliveryEvent.TAKEN_BACK);
                }
            } else {
                row.sentAt = null;
                deliveries.happened(paper(), List.of(contactId), DeliveryEvent.TAKEN_BACK);
            }
        }
    }

    /** No card is wanted for these any more. */
    @Transactional
    public void drop(List<Long> contactIds) {
        for (long contactId : contactIds) {
            PaperCardRow row = db.find(PaperCardRow.class, contactId);
            if (row != null && row.sentAt == null && row.receivedAt == null) {
                db.remove(row);
            }
        }
        deliveries.setMeant(contactIds, paper(), false);
    }

    @Transactional(readOnly = true)
    public Piles piles() {
        return new Piles(count(Pile.TO_SEND), count(Pile.SENT), count(Pile.RECEIVED));
    }

    private long count(Pile pile) {
        return db.createQuery("select count(*) from PaperCardRow where " + condition(pile), Long.class)
                .getSingleResult();
    }

    private static String condition(Pile pile) {
        return switch (pile) {
            case TO_SEND -> "sentAt is null";
            case SENT -> "sentAt is not null";
            case RECEIVED -> "receivedAt is not null";
        };
    }

    @Transactional(readOnly = true)
    public List<CardView> pile(Pile pile) {
        return views(db.createQuery(
                        "from PaperCardRow where " + condition(pile) + " order by contactId desc", PaperCardRow.class)
                .setMaxResults(SHOWN)
                .getResultList());
    }

    private List<CardView> views(List<PaperCardRow> rows) {
        Map<Long, PaperCardRow> byContact = new HashMap<>();
        rows.forEach(row -> byContact.put(row.contactId, row));
        List<CardView> views = new ArrayList<>();
        for (LogLine line : log.lines(byContact.keySet())) {
            PaperCardRow row = Objects.requireNonNull(byContact.get(line.id()));
            views.add(new CardView(line, row.via, row.manager, row.note, row.sentAt, row.receivedAt));
        }
        return views;
    }

    /**
     * What a scanner read, or what was typed from a card that came: our own code, or the other station's call.
     *
     * @return the contacts it may be, the newest first
     */
    @Transactional(readOnly = true)
    public List<LogLine> find(String scanned) {
        Matcher code = CODE.matcher(scanned);
        if (code.matches()) {
            return log.lines(List.of(Long.parseLong(code.group(1))));
        }
        Call call = Call.read(scanned.strip().toUpperCase(Locale.ROOT));
        if (call == null) {
            throw new Rejection(
                    "scanned", "\"" + scanned.strip() + "\" is neither a code of our cards (YB-123) nor a call.");
        }
        List<Long> ids = log.around(List.of(call.text()), Instant.EPOCH, clock.instant()).stream()
                .map(LoggedContact::id)
                .toList();
        List<LogLine> lines = log.lines(ids);
        return lines.subList(0, Math.min(SHOWN, lines.size()));
    }

    /** What is to be printed, in the order of the calls. */
    @Transactional(readOnly = true)
    List<Printed> toPrint(List<Long> contactIds) {
        Map<Long, LoggedContact> contacts = log.find(contactIds);
        List<Printed> printed = new ArrayList<>();
        for (LoggedContact contact : contacts.values()) {
            PaperCardRow row = db.find(PaperCardRow.class, contact.id());
            printed.add(new Printed(
                    contact, row == null ? PaperCardRow.Via.BUREAU : row.via, row == null ? null : row.manager));
        }
        printed.sort(java.util.Comparator.comparing((Printed one) ->
                        one.manager() == null ? one.contact().contact().call().text() : one.manager())
                .thenComparing(one -> one.contact().contact().call().text())
                .thenComparing(one -> one.contact().contact().start()));
        return printed;
    }

    /** One contact as it is printed. */
    record Printed(LoggedContact contact, PaperCardRow.Via via, @Nullable String manager) {}

    @EventListener
    void deleted(ContactsDeleted event) {
        db.createQuery("delete from PaperCardRow where contactId in :ids and sentAt is null and receivedAt is null")
                .setParameter("ids", event.ids())
                .executeUpdate();
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        PaperCardRow row = db.find(PaperCardRow.class, contactId);
        List<JourneyStep> steps = new ArrayList<>();
        if (row != null && row.sentAt != null) {
            steps.add(JourneyStep.of(
                    row.sentAt, JourneyStep.Kind.HANDED_OVER, "Our card was sent " + words(row) + ".", null));
        }
        if (row != null && row.receivedAt != null) {
            steps.add(JourneyStep.of(row.receivedAt, JourneyStep.Kind.CONFIRMED, "Their card was received.", null));
        }
        return steps;
    }

    private static String words(PaperCardRow row) {
        return switch (row.via) {
            case BUREAU -> "by the bureau";
            case DIRECT -> "direct";
            case MANAGER -> "to the manager " + row.manager;
        };
    }

    private PaperCardRow card(long contactId) {
        PaperCardRow row = db.find(PaperCardRow.class, contactId);
        if (row == null) {
            row = new PaperCardRow();
            row.contactId = contactId;
            db.persist(row);
        }
        return row;
    }
}
