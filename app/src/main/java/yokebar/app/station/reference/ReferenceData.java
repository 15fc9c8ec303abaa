package yokebar.app.station.reference;

import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.entity.Situation;
import yokebar.core.log.adif.AdifFields;

/**
 * The reference data in use now: the newer one of what ships with the application and what was fetched. Ask for it each time,
 * a newer edition may take its place.
 */
@Service
public class ReferenceData implements ReferenceList {
    /** No list of entities is shorter; a shorter one is a list of something else. */
    private static final int FEWEST_ENTITIES = 300;

    private final ReferenceFile file;
    private final ApplicationEventPublisher events;
    private volatile Entities entities;

    ReferenceData(YokebarProperties properties, ApplicationEventPublisher events) {
        this.file = new ReferenceFile(properties.home(), "entities");
        this.events = events;
        this.entities = newest();
    }

    public Entities entities() {
        return entities;
    }

    /**
     * A record with what its call says of where the other station is, as far as it does not say so itself.
     *
     * @param at when it was worked
     */
    public AdifFields placed(AdifFields record, Instant at) {
        Call call = Call.read(String.valueOf(record.get("CALL")));
        if (call == null || record.get("DXCC") != null) {
            return record;
        }
        return entities.of(call, LocalDate.ofInstant(at, ZoneOffset.UTC))
                .map(Situation::fields)
                .map(record::completedBy)
                .orElse(record);
    }

    @Override
    public String file() {
        return "entities";
    }

    @Override
    public String words() {
        return "list of entities";
    }

    @Override
    public @Nullable LocalDate edition() {
        return entities.edition();
    }

    private Entities newest() {
        Entities shipped = Entities.shipped();
        return file.kept(ReferenceData::checked)
                .filter(fetched -> fetched.edition().isAfter(shipped.edition()))
                .orElse(shipped);
    }

    @Override
    public synchronized void take(String text) throws IOException {
        Entities fresh = checked(text);
        newer(fresh.edition());
        file.put(text);
        entities = fresh;
        events.publishEvent(new ReferenceDataChanged());
    }

    private static Entities checked(String text) {
        Entities read = Entities.read(text);
        long count = read.all().stream().filter(e -> e.lastDay() == null).count();
        if (count < FEWEST_ENTITIES) {
            throw new IllegalArgumentException(
                    "It has only " + count + " entities; it was cut off or is another list.");
        }
        return read;
    }
}
