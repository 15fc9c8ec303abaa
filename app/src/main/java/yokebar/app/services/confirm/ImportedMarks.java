package yokebar.app.services.confirm;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.JourneySource;
import yokebar.app.log.JourneyStep;
import yokebar.app.log.store.ContactLog;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.services.confirm.ConfirmationMarks;

/** What a contact's own record says of its confirmation elsewhere, as it came from another log. */
@Service
class ImportedMarks implements JourneySource {
    private final ContactLog log;

    ImportedMarks(ContactLog log) {
        this.log = log;
    }

    @Override
    @Transactional(readOnly = true)
    public List<JourneyStep> journey(long contactId) {
        return log.find(contactId).map(ImportedMarks::steps).orElse(List.of());
    }

    private static List<JourneyStep> steps(LoggedContact logged) {
        Contact contact = logged.contact();
        return ConfirmationMarks.of(contact.details()).stream()
                .map(mark -> step(mark, contact.start()))
                .toList();
    }

    private static JourneyStep step(ConfirmationMarks.Mark mark, Instant start) {
        boolean confirmed = mark.kind() == ConfirmationMarks.Kind.CONFIRMED;
        Instant at = mark.day() == null ? start : mark.day().atStartOfDay().toInstant(ZoneOffset.UTC);
        String origin = mark.origin().equals(ConfirmationMarks.PAPER) ? "a paper card" : mark.origin();
        return JourneyStep.of(
                at.isBefore(start) ? start : at,
                confirmed ? JourneyStep.Kind.CONFIRMED : JourneyStep.Kind.HANDED_OVER,
                (confirmed ? "Confirmed by " : "Given to ") + origin + ", as the record it came with says ("
                        + mark.field() + ").",
                null);
    }
}
