package yokebar.app.operate.contest;

import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.log.store.ContactEditing;
import yokebar.app.operate.contest.line.ContestLineRequest;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.contact.Contact;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.contest.entry.ExchangeRecord;
import yokebar.core.operate.contest.entry.TypedLine;

/** Corrects a contact of a book from the contest line: the call, what was received, the time and the note. */
@Service
class LineCorrection {
    private final BookScores scores;
    private final ContactEditing contacts;

    LineCorrection(BookScores scores, ContactEditing contacts) {
        this.scores = scores;
        this.contacts = contacts;
    }

    /** @throws Rejection when the line says less than a contact has to, and when the contact is not in the book */
    void correct(BookRow book, long contactId, ContestLineRequest request) {
        Map<String, @Nullable String> changes = scores.ask(book, counted -> {
            Contact contact = counted.contact(contactId)
                    .orElseThrow(() -> Rejection.notThere("There is no contact " + contactId + " in this book."));
            return changes(counted, contact, TypedLine.read(ContestLine.text(request), contact.start()));
        });
        contacts.correct(contactId, changes);
    }

    private static Map<String, @Nullable String> changes(CountedBook counted, Contact before, TypedLine line) {
        ContestEntry entry = ContestLine.entry(counted, line, report(counted, before), before.start());
        if (line.problem() != null) {
            throw new Rejection("text", line.problem());
        }
        if (line.sentSerial() != null) {
            throw new Rejection("text", "What was sent is corrected in the log: open the contact there.");
        }
        if (entry.call() == null) {
            throw new Rejection("text", "Type a call and the exchange.");
        }
        if (!entry.unread().isEmpty()) {
            throw new Rejection(
                    "text", ContestEntry.unreadSentence(entry.unread().get(0)));
        }
        if (!entry.missing().isEmpty()) {
            throw new Rejection(
                    "text",
                    ContestLine.missingSentence(
                            entry.missing().stream().map(ExchangeField::name).toList()));
        }
        Map<String, @Nullable String> changes =
                new TreeMap<>(new ExchangeRecord(counted.definition().exchange()).received(entry.received()));
        changes.put("CALL", entry.call().text());
        if (!line.note().isEmpty()) {
            changes.put("COMMENT", line.note());
        }
        if (!before.start().equals(line.at())) {
            changes.put("QSO_DATE", AdifTime.date(Objects.requireNonNull(line.at())));
            changes.put("TIME_ON", AdifTime.time(line.at(), true));
        }
        return changes;
    }

    /** The one that was received stays when none is typed. */
    private static String report(CountedBook counted, Contact contact) {
        for (ExchangeField field : counted.definition().exchange()) {
            if (field.kind() == ExchangeKind.REPORT) {
                return Objects.requireNonNullElse(counted.received(contact, field), "");
            }
        }
        return "";
    }
}
