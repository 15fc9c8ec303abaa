package yokebar.app.operate.net;

import jakarta.persistence.EntityManager;
import jakarta.persistence.FlushModeType;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import yokebar.app.log.store.ContactEditing;
import yokebar.app.log.store.ContactLog;
import yokebar.app.operate.net.roster.NetRoster;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.callbook.KnownStation;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.line.LineText;
import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.NetEntry;

/** Changes to a check-in. Once it is logged, its contact is changed with it. */
@Service
class CheckInEditing {
    private static final int MAX_NAME = 80;
    private static final int MAX_NOTE = 500;

    private final EntityManager db;
    private final ContactLog log;
    private final ContactEditing contacts;
    private final NetRoster roster;
    private final Callbook callbook;
    private final ApplicationEventPublisher events;

    CheckInEditing(
            EntityManager db,
            ContactLog log,
            ContactEditing contacts,
            NetRoster roster,
            Callbook callbook,
            ApplicationEventPublisher events) {
        this.db = db;
        this.log = log;
        this.contacts = contacts;
        this.roster = roster;
        this.callbook = callbook;
        this.events = events;
    }

    CheckInRow find(long sessionId, long id) {
        CheckInRow row = db.find(CheckInRow.class, id);
        if (row == null || row.sessionId != sessionId) {
            throw Rejection.notThere("That check-in is not on this list any more.");
        }
        return row;
    }

    /** Takes from an entry what it says beside its stations. */
    void note(CheckInRow row, NetEntry entry) {
        Map<String, @Nullable String> before = row.contactFields();
        NetEntry.Heard via = entry.via();
        row.via = via == null ? row.via : via.text();
        Set<CheckInMark> marks = EnumSet.noneOf(CheckInMark.class);
        marks.addAll(row.marks());
        marks.addAll(entry.marks());
        row.marks(marks);
        row.rstSent = entry.sent() == null ? row.rstSent : entry.sent();
        row.rstRcvd = entry.received() == null ? row.rstRcvd : entry.received();
        String note = entry.note();
        if (note != null) {
            row.note = Nets.shortText("note", row.note == null ? note : row.note + "; " + note, MAX_NOTE);
        }
        correctContact(row, before);
    }

    /** Who that is: from the roster, from earlier sessions, from the callbook, which is asked if it has not been. */
    void identify(NetSessionRow session, CheckInRow row) {
        Call call = row.call();
        if (call == null) {
            return;
        }
        if (session.netId != null) {
            roster.came(session.netId, call.text());
        }
        row.name = row.name == null ? knownName(session, row, call) : row.name;
        callbook.known(call).ifPresent(row::learn);
        events.publishEvent(new CheckInLookups.Wanted(call));
    }

    private @Nullable String knownName(NetSessionRow session, CheckInRow row, Call call) {
        return Optional.ofNullable(session.netId)
                .map(netId -> roster.nameOf(netId, call.text()))
                .or(() -> lastName(row, call))
                .or(() -> callbook.known(call).map(KnownStation::name))
                .orElse(null);
    }

    private Optional<String> lastName(CheckInRow row, Call call) {
        return db.createQuery(
                        "select c.name from CheckInRow c where c.callSign = :call and c.name is not null"
                                + " and c <> :row order by c.id desc",
                        String.class)
                .setParameter("call", call.text())
                .setParameter("row", row)
                // No other check-in of this line has that call, and before a flush all those of the session would be
                // compared.
                .setFlushMode(FlushModeType.COMMIT)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** What was known of the station that was meant before is not true of another one. */
    private void forget(NetSessionRow session, CheckInRow row, String earlier) {
        Call call = Call.read(earlier);
        row.place = null;
        if (call != null && Objects.equals(row.name, knownName(session, row, call))) {
            row.name = null;
        }
    }

    /** @param all the check-ins of the session */
    void change(NetSessionRow session, List<CheckInRow> all, CheckInRow row, CheckInDraft draft) {
        Map<String, @Nullable String> before = row.contactFields();
        String earlier = row.callSign;
        String nameBefore = row.name;
        if (draft.call() != null) {
            call(all, row, draft.call());
        }
        row.name = draft.name() == null ? row.name : Nets.shortText("name", draft.name(), MAX_NAME);
        row.via = draft.via() == null ? row.via : via(draft.via());
        if (draft.marks() != null) {
            row.marks(draft.marks());
        }
        row.rstSent = draft.sent() == null ? row.rstSent : report("sent", draft.sent());
        row.rstRcvd = draft.received() == null ? row.rstRcvd : report("received", draft.received());
        row.note = draft.note() == null ? row.note : Nets.shortText("note", draft.note(), MAX_NOTE);
        if (!Objects.equals(row.callSign, earlier)) {
            if (earlier != null && Objects.equals(row.name, nameBefore)) {
                forget(session, row, earlier);
            }
            identify(session, row);
        }
        correctContact(row, before);
    }

    private static void call(List<CheckInRow> all, CheckInRow row, String typed) {
        Call call = LineText.wholeCall(typed);
        if (call == null) {
            throw new Rejection("call", "\"" + typed + "\" is not a whole call.");
        }
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i) != row && all.get(i).shown().equals(call.text())) {
                throw new Rejection("call", call + " has checked in already, as number " + (i + 1) + ".");
            }
        }
        row.callSign = call.text();
    }

    private static @Nullable String via(String typed) {
        if (!typed.isBlank() && Call.read(typed) == null) {
            throw new Rejection("via", "\"" + typed + "\" is not a call.");
        }
        Call call = Call.read(typed);
        return call == null ? null : call.text();
    }

    private static @Nullable String report(String field, String typed) {
        if (!typed.isBlank() && !NetEntry.isReport(typed.strip())) {
            throw new Rejection(field, "\"" + typed + "\" is not a report. Write it as 59 or 599.");
        }
        return typed.isBlank() ? null : typed.strip();
    }

    private void correctContact(CheckInRow row, Map<String, @Nullable String> before) {
        Map<String, @Nullable String> changes = row.contactFields();
        changes.entrySet().removeIf(field -> Objects.equals(field.getValue(), before.get(field.getKey())));
        Long contactId = row.contactId;
        if (contactId != null && !changes.isEmpty() && log.find(contactId).isPresent()) {
            contacts.correct(contactId, changes);
        }
    }
}
