package yokebar.app.operate.net;

import jakarta.persistence.EntityManager;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.store.ContactEditing;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
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

    CheckInEditing(EntityManager db, ContactLog log, ContactEditing contacts) {
        this.db = db;
        this.log = log;
        this.contacts = contacts;
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

    /** @param all the check-ins of the session */
    void change(List<CheckInRow> all, CheckInRow row, CheckInDraft draft) {
        Map<String, @Nullable String> before = row.contactFields();
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
        correctContact(row, before);
    }

    private static void call(List<CheckInRow> all, CheckInRow row, String typed) {
        Call call = LineText.isWholeCall(typed.strip()) ? Call.read(typed) : null;
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
