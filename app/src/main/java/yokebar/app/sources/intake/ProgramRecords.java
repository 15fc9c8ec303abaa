package yokebar.app.sources.intake;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import yokebar.app.sources.intake.decide.Intake;
import yokebar.app.sources.intake.source.SourceOptions;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Source;

/** Contacts that a program tells over the digital link. */
@Service
public class ProgramRecords {
    private final Intake intake;

    ProgramRecords(Intake intake) {
        this.intake = intake;
    }

    /**
     * What became of a record.
     *
     * @param inLog whether the contact is in the log now
     */
    public record Taken(boolean inLog, String sentence) {}

    /**
     * Stores a contact durably before it returns.
     *
     * @param sourceId the program's coupling
     * @param adif one record
     * @param otherwise what the program is set to, for what the record does not say
     */
    public Taken take(
            String sourceId, String name, String sender, String adif, AdifFields otherwise, Instant arrivedAt) {
        List<Arrival> arrivals = Arrivals.of(adif.getBytes(StandardCharsets.UTF_8), sender, arrivedAt).stream()
                .map(arrival -> completed(arrival, otherwise))
                .toList();
        SourceOptions options =
                new SourceOptions(Set.of(), null, null, null, false, true, SourceOptions.Doubles.MERGE, Map.of());
        List<Outcome> outcomes = intake.take(new ArrivalPath(sourceId, name, Source.LINK, options, null), arrivals);
        Outcome last = outcomes.get(outcomes.size() - 1);
        return new Taken(last.contactId() != null, last.sentence());
    }

    private static Arrival completed(Arrival arrival, AdifFields otherwise) {
        AdifFields.Builder fields = new AdifFields.Builder();
        boolean placed =
                arrival.fields().get("FREQ") != null || arrival.fields().get("BAND") != null;
        otherwise.forEach((field, value) -> {
            boolean where = field.equals("FREQ") || field.equals("BAND");
            if (where ? !placed : arrival.fields().get(field) == null) {
                fields.put(field, value);
            }
        });
        arrival.fields().forEach(fields::put);
        return new Arrival(
                arrival.sender(), arrival.arrivedAt(), arrival.raw(), fields.build(), arrival.fault(), arrival.typed());
    }
}
