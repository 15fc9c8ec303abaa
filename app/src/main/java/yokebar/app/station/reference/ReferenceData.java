package yokebar.app.station.reference;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
public class ReferenceData {
    private static final Logger LOG = LoggerFactory.getLogger(ReferenceData.class);
    /** No list of entities is shorter; a shorter one is a list of something else. */
    private static final int FEWEST_ENTITIES = 300;

    private final Path file;
    private final ApplicationEventPublisher events;
    private volatile Entities entities;

    ReferenceData(YokebarProperties properties, ApplicationEventPublisher events) {
        this.file = properties.home().resolve("reference").resolve("entities.txt");
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

    private Entities newest() {
        Entities shipped = Entities.shipped();
        if (!Files.exists(file)) {
            return shipped;
        }
        try {
            Entities fetched = checked(Files.readString(file));
            return fetched.edition().isAfter(shipped.edition()) ? fetched : shipped;
        } catch (IOException | IllegalArgumentException e) {
            LOG.warn("The fetched list of entities cannot be used, the one that ships is: {}", e.toString());
            return shipped;
        }
    }

    /**
     * Puts a newer edition in place, for good and at once.
     *
     * @throws IllegalArgumentException saying what is wrong with it; then nothing has changed
     */
    synchronized void take(String text) throws IOException {
        Entities fresh = checked(text);
        if (!fresh.edition().isAfter(entities.edition())) {
            throw new IllegalArgumentException(
                    "It is edition " + fresh.edition() + ", not newer than " + entities.edition() + ".");
        }
        Files.createDirectories(file.getParent());
        Path fetched = file.resolveSibling("entities.txt.new");
        Files.writeString(fetched, text, StandardCharsets.UTF_8);
        Files.move(fetched, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
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
