package yokebar.app.intake;

import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.FieldProblem;
import yokebar.core.adif.AdifFields;
import yokebar.core.contact.Provenance;
import yokebar.core.contact.Source;

/** Contacts that people type in: they go the same way as all others, with the line as their raw text. */
@Service
public class TypedContacts {
    private static final ArrivalPath PATH = ArrivalPath.plain("typed", "Typed", Source.OPERATOR);

    private final Intake intake;
    private final Clock clock;

    TypedContacts(Intake intake, Clock clock) {
        this.intake = intake;
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
     * Stores a typed contact durably before it returns.
     *
     * @param sender where it was typed, in words
     * @param line as it was typed
     * @param told which field was typed, and which came from elsewhere
     * @throws FieldProblem when no contact can be made of it
     */
    public Logged log(AdifFields record, String sender, String line, @Nullable Long placeId, Provenance told) {
        Arrival arrival = new Arrival(sender, clock.instant(), line, record, null, new Arrival.Typed(placeId, told));
        Outcome outcome = intake.take(PATH, List.of(arrival)).get(0);
        Long contactId = outcome.contactId();
        if (contactId == null) {
            throw new FieldProblem("line", outcome.sentence());
        }
        return new Logged(contactId, outcome.decision() == Decision.ADDED, outcome.sentence(), outcome.changeId());
    }
}
