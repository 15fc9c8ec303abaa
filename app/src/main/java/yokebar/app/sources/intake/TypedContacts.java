package yokebar.app.sources.intake;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.SameContact;
import yokebar.core.log.contact.Source;

/** Contacts that people type in: they go the same way as all others, with the line as their raw text. */
@Service
public class TypedContacts {
    private static final ArrivalPath PATH = ArrivalPath.plain("typed", "Typed", Source.OPERATOR);

    private final Intake intake;
    private final ContactLog log;
    private final Clock clock;

    TypedContacts(Intake intake, ContactLog log, Clock clock) {
        this.intake = intake;
        this.log = log;
        this.clock = clock;
    }

    /**
     * What became of a typed contact.
     *
     * @param fresh false when it was in the log already
     * @param changeId to take it back with; null when it changed nothing
     */
    public record Logged(long contactId, boolean fresh, String sentence, @Nullable Long changeId) {}

    /**
     * The contact of the log that a record may be, when it was made within half an hour of it: typed from memory or paper, the
     * time may be a few minutes off, or it was another contact. Empty when the minute agrees.
     */
    @Transactional(readOnly = true)
    public Optional<LoggedContact> likely(AdifFields record) {
        if (!(ContactAdif.read(record, null) instanceof Reading.Readable readable)) {
            return Optional.empty();
        }
        Contact typed = readable.contact();
        List<LoggedContact> near = log
                .around(
                        Set.of(typed.call().text()),
                        typed.start().minus(SameContact.VAGUE),
                        typed.start().plus(SameContact.VAGUE))
                .stream()
                .filter(other -> SameContact.same(typed, other.contact(), SameContact.Paths.DIFFERENT))
                .toList();
        return near.stream().anyMatch(other -> SameContact.sameMinute(typed, other.contact()))
                ? Optional.empty()
                : SameContact.nearest(typed, near);
    }

    /**
     * Stores a typed contact durably before it returns.
     *
     * @param sender where it was typed, in words
     * @param line as it was typed
     * @param provenance which field was typed, and which came from elsewhere
     * @param sameAs the contact of the log that the operator says it is, 0 for none of them; null when nobody was asked
     * @throws Rejection when no contact can be made of it
     */
    public Logged log(
            AdifFields record,
            String sender,
            String line,
            @Nullable Long placeId,
            Provenance provenance,
            @Nullable Long sameAs) {
        return log(new Typed(record, line, placeId, provenance), sender, sameAs);
    }

    /**
     * Stores a typed contact durably before it returns.
     *
     * @param sender where it was typed, in words
     * @throws Rejection when no contact can be made of it
     */
    public Logged log(Typed contact, String sender) {
        return log(contact, sender, null);
    }

    private Logged log(Typed contact, String sender, @Nullable Long sameAs) {
        Outcome outcome = intake.take(PATH, List.of(contact.arrival(sender, clock.instant(), sameAs)))
                .get(0);
        Long contactId = outcome.contactId();
        if (contactId == null) {
            throw new Rejection("line", outcome.sentence());
        }
        return new Logged(contactId, outcome.decision() == Decision.ADDED, outcome.sentence(), outcome.changeId());
    }

    /**
     * A contact that somebody typed.
     *
     * @param line as it was typed
     * @param provenance which field was typed, and which came from elsewhere
     */
    public record Typed(AdifFields record, String line, @Nullable Long placeId, Provenance provenance) {
        private Arrival arrival(String sender, Instant at, @Nullable Long sameAs) {
            return new Arrival(sender, at, line, record, null, new Arrival.Typed(placeId, provenance, sameAs));
        }
    }

    /**
     * Stores many as part of one change of the log. Those that are in the log already stay one contact, so a second try after a
     * crash does no harm.
     *
     * @param sender where they were typed, in words
     * @param changeId the change they are part of, begun before
     * @return one outcome for each
     */
    public List<Outcome> logAll(List<Typed> typed, String sender, long changeId) {
        ArrivalPath path = new ArrivalPath(PATH.sourceId(), PATH.name(), PATH.source(), PATH.options(), changeId);
        List<Arrival> arrivals = typed.stream()
                .map(contact -> contact.arrival(sender, clock.instant(), null))
                .toList();
        return intake.take(path, arrivals);
    }
}
