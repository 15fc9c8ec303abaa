package yokebar.app.station.profile;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entity;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.geo.Locator;

/** Where the station was or is operated from. Used inside the transactions of {@link Station}. */
@Component
class Places {
    private final EntityManager db;
    private final ReferenceData reference;
    private final Clock clock;

    Places(EntityManager db, ReferenceData reference, Clock clock) {
        this.db = db;
        this.reference = reference;
        this.clock = clock;
    }

    List<StationView.PlaceView> all(@Nullable String ownCall) {
        return db.createQuery("from Place order by name", Place.class)
                .getResultStream()
                .map(p -> view(p, ownCall))
                .toList();
    }

    Optional<StationView.PlaceView> find(long id, @Nullable String ownCall) {
        return Optional.ofNullable(db.find(Place.class, id)).map(p -> view(p, ownCall));
    }

    private StationView.PlaceView view(Place p, @Nullable String ownCall) {
        return new StationView.PlaceView(
                Stored.id(p.id),
                p.name,
                p.locator,
                p.rig,
                p.antenna,
                p.powerW,
                p.comment,
                p.entityCode,
                p.cqZone,
                p.ituZone,
                situation(p, ownCall));
    }

    /** What was set by hand, else what the call says. */
    private StationView.@Nullable PlaceSituation situation(Place p, @Nullable String ownCall) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        Situation situation = ownCall == null
                ? null
                : reference.entities().of(new Call(ownCall), today).orElse(null);
        Entity entity = p.entityCode == null
                ? situation == null ? null : situation.entity()
                : reference.entities().numbered(p.entityCode).orElse(null);
        if (entity == null) {
            return null;
        }
        boolean entityAsGiven = situation != null && entity.equals(situation.entity());
        return new StationView.PlaceSituation(
                entity.number(),
                entity.name(),
                entity.continent(),
                p.cqZone != null ? p.cqZone : entityAsGiven && situation != null ? situation.cqZone() : entity.cqZone(),
                p.ituZone != null
                        ? p.ituZone
                        : entityAsGiven && situation != null ? situation.ituZone() : entity.ituZone());
    }

    /** @return the place's number */
    long save(@Nullable Long id, PlaceDraft draft) {
        Place place = id == null ? new Place() : Stored.found(db, Place.class, "id", id);
        if (draft.name() == null || draft.name().isBlank()) {
            throw new Rejection("name", "A place needs a name, such as Home.");
        }
        place.name = draft.name().strip();
        place.locator = locator(Stored.blankToNull(draft.locator()));
        place.rig = Stored.blankToNull(draft.rig());
        place.antenna = Stored.blankToNull(draft.antenna());
        place.powerW = within("powerW", draft.powerW(), 0, 10_000, "Power is between 0 and 10 000 W.");
        place.comment = Stored.blankToNull(draft.comment());
        place.cqZone = within("cqZone", draft.cqZone(), 1, 40, "A CQ zone is 1 to 40.");
        place.ituZone = within("ituZone", draft.ituZone(), 1, 90, "An ITU zone is 1 to 90.");
        if (draft.entityCode() != null
                && reference.entities().numbered(draft.entityCode()).isEmpty()) {
            throw new Rejection("entityCode", "There is no entity with the number " + draft.entityCode() + ".");
        }
        place.entityCode = draft.entityCode();
        db.persist(place);
        return Stored.id(place.id);
    }

    /**
     * A place as it is typed.
     *
     * @param powerW default power, W
     * @param comment put into new contacts that have none
     * @param entityCode null for what follows from the call
     */
    record PlaceDraft(
            @Nullable String name,
            @Nullable String locator,
            @Nullable String rig,
            @Nullable String antenna,
            @Nullable Integer powerW,
            @Nullable String comment,
            @Nullable Integer entityCode,
            @Nullable Integer cqZone,
            @Nullable Integer ituZone) {}

    private static @Nullable Integer within(
            String field, @Nullable Integer value, int least, int max, String sentence) {
        if (value != null && (value < least || value > max)) {
            throw new Rejection(field, sentence);
        }
        return value;
    }

    private static @Nullable String locator(@Nullable String text) {
        if (text == null) {
            return null;
        }
        Locator locator = Locator.read(text);
        if (locator == null) {
            throw new Rejection("locator", "\"" + text + "\" is not a locator; it looks like HM49 or HM49kq.");
        }
        return locator.text();
    }
}
