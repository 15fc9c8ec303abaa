package yokebar.app.operate.line;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.store.ContactLog;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.operate.line.DupeRule;

/** Whether a station was worked the same day already. */
@Service
class TodaysContacts {
    private final ContactLog log;

    TodaysContacts(ContactLog log) {
        this.log = log;
    }

    /** When a station was last worked on a band in a mode group on the UTC day of a time; empty if it was not. */
    @Transactional(readOnly = true)
    public Optional<Instant> last(Call call, Band band, ModeGroup group, Instant time) {
        Instant midnight = time.truncatedTo(ChronoUnit.DAYS);
        List<Contact> earlier =
                log
                        .around(
                                List.of(call.text()),
                                midnight,
                                midnight.plus(1, ChronoUnit.DAYS).minusSeconds(1))
                        .stream()
                        .map(LoggedContact::contact)
                        .toList();
        return DupeRule.EVERYDAY.last(earlier, band, group, time);
    }
}
