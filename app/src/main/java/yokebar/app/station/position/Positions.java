package yokebar.app.station.position;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.actor.Actor;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.sources.radio.RadioUpdated;
import yokebar.app.sources.radio.Radios;
import yokebar.app.sources.radio.RadiosChanged;
import yokebar.app.station.profile.Licences;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationChanged;
import yokebar.app.station.profile.StationView;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Licence;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.band.Segment;
import yokebar.core.basics.band.Signal;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Point;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.sources.radio.Emission;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioState;

/** All positions. There is always at least one. */
@Service
public class Positions {
    private static final int MAX_NAME = 60;

    private final EntityManager db;
    private final Station station;
    private final Licences licences;
    private final Radios radios;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    /** What each position's radio was last judged to be, so that only a different judgement is told. */
    private final Map<Long, Watch> watched = new ConcurrentHashMap<>();

    private volatile @Nullable List<Watcher> watchers;
    /** What each position gives, asked for at every keystroke. */
    private final RowCache<Optional<Long>, ContactSetting> settled = new RowCache<>();

    /** A call may end with the day. */
    private volatile LocalDate settledOn = LocalDate.MIN;

    Positions(
            EntityManager db,
            Station station,
            Licences licences,
            Radios radios,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.station = station;
        this.licences = licences;
        this.radios = radios;
        this.clock = clock;
        this.events = events;
    }

    /** Who is to be told what about which radio; kept so that a turning knob costs no look into the database. */
    private record Watcher(long positionId, @Nullable Long radioId, @Nullable Licence licence, Region region) {}

    private record Watch(@Nullable String segment, @Nullable String objection) {
        static final Watch NOTHING = new Watch(null, null);
    }

    @Transactional(readOnly = true)
    public List<PositionView> views() {
        StationView whole = station.view();
        return rows().stream().map(row -> view(row, whole)).toList();
    }

    /** @return the position's number */
    @Transactional
    public long save(@Nullable Long id, PositionDraft draft) {
        PositionRow row = id == null ? new PositionRow() : found(id);
        StationView whole = station.view();
        if (id == null || draft.name() != null) {
            row.name = name(id, draft.name());
        }
        if (draft.operatorId() != null) {
            row.operatorId = chosen(
                    "operatorId",
                    draft.operatorId(),
                    whole.operators().stream().anyMatch(o -> o.id() == draft.operatorId()));
        }
        if (draft.placeId() != null) {
            row.placeId = chosen(
                    "placeId", draft.placeId(), whole.places().stream().anyMatch(p -> p.id() == draft.placeId()));
        }
        if (draft.radioId() != null) {
            row.radioId = chosen(
                    "radioId", draft.radioId(), radios.view(draft.radioId()).isPresent());
        }
        if (draft.ownCall() != null) {
            row.ownCall = call(draft.ownCall(), whole);
        }
        row.usedAt = clock.instant();
        db.persist(row);
        db.flush();
        changed();
        return row.number();
    }

    @Transactional
    public void remove(long id) {
        if (rows().size() == 1) {
            throw new Rejection("id", "The last position stays; rename it instead.");
        }
        db.remove(found(id));
        db.flush();
        watched.remove(id);
        changed();
    }

    /** Somebody sat down there: contacts that could be of more than one position are of this one. */
    @Transactional
    public void sitDown(long id) {
        found(id).usedAt = clock.instant();
        events.publishEvent(new PositionsChanged(true));
    }

    /**
     * What a contact made now gets from where it was made.
     *
     * @param radioId the radio it was made on; null when that is not known
     */
    @Transactional(readOnly = true)
    public ContactSetting setting(@Nullable Long radioId) {
        List<PositionRow> byUse =
                rows().stream().sorted((a, b) -> b.usedAt.compareTo(a.usedAt)).toList();
        return setting(byUse.stream()
                .filter(p -> radioId != null && radioId.equals(p.radioId))
                .findFirst()
                .orElse(byUse.get(0)));
    }

    /**
     * What a contact typed at a position now gets from it.
     *
     * @param positionId null for the position used last
     */
    @Transactional(readOnly = true)
    public ContactSetting settingAt(@Nullable Long positionId) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        if (!today.equals(settledOn)) {
            settledOn = today;
            settled.forget();
        }
        return settled.get(Optional.ofNullable(positionId), () -> {
            PositionRow row = positionId == null ? null : db.find(PositionRow.class, positionId);
            return row == null ? setting((Long) null) : setting(row);
        });
    }

    private ContactSetting setting(PositionRow row) {
        StationView whole = station.view();
        String ownCall = view(row, whole).ownCall();
        AdifFields.Builder fields = new AdifFields.Builder();
        whole.operators().stream()
                .filter(o -> Objects.equals(row.operatorId, o.id()))
                .forEach(o -> fields.put("OPERATOR", o.callSign()));
        whole.places().stream().filter(p -> Objects.equals(row.placeId, p.id())).forEach(p -> put(fields, p));
        return new ContactSetting(ownCall == null ? null : new Call(ownCall), row.placeId, fields.build());
    }

    /** Who sits at a position; empty when there is no such position. */
    @Transactional(readOnly = true)
    public Optional<Actor> actorAt(long positionId) {
        return Optional.ofNullable(db.find(PositionRow.class, positionId))
                .map(row -> new Actor(
                        Optional.ofNullable(row.operatorId)
                                .flatMap(station::operator)
                                .map(operator -> operator.name() == null ? operator.callSign() : operator.name())
                                .orElse(null),
                        row.name));
    }

    /** What a place gives to contacts made there. */
    @Transactional(readOnly = true)
    public AdifFields fieldsOf(long placeId) {
        AdifFields.Builder fields = new AdifFields.Builder();
        station.view().places().stream().filter(p -> p.id() == placeId).forEach(p -> put(fields, p));
        return fields.build();
    }

    /** The radio of a position; empty when it has none of its own, or there is no such position. */
    @Transactional(readOnly = true)
    public Optional<Long> radioOf(@Nullable Long positionId) {
        return Optional.ofNullable(positionId)
                .map(id -> db.find(PositionRow.class, id))
                .map(row -> row.radioId);
    }

    /** What the radio of a position reports, or the first one where the position has none; empty when it is not connected. */
    @Transactional(readOnly = true)
    public Optional<RadioCompletion.Reading> reading(@Nullable Long positionId) {
        Long chosen = radioOf(positionId).orElse(null);
        return radios.readings().stream()
                .filter(reading -> chosen == null || reading.radioId() == chosen)
                .findFirst();
    }

    private static void put(AdifFields.Builder fields, StationView.PlaceView place) {
        fields.put("MY_GRIDSQUARE", place.locator())
                .put("MY_RIG", place.rig())
                .put("MY_ANTENNA", place.antenna())
                .put("TX_PWR", place.powerW() == null ? null : place.powerW().toString())
                .put("COMMENT", place.comment());
        StationView.PlaceSituation situation = place.situation();
        if (situation != null) {
            fields.put("MY_DXCC", String.valueOf(situation.entityCode()))
                    .put("MY_CQ_ZONE", String.valueOf(situation.cqZone()))
                    .put("MY_ITU_ZONE", String.valueOf(situation.ituZone()));
        }
    }

    private List<PositionRow> rows() {
        return db.createQuery("from PositionRow order by name, id", PositionRow.class)
                .getResultList();
    }

    private PositionView view(PositionRow row, StationView whole) {
        Optional<StationView.CallView> chosen = whole.calls().stream()
                .filter(c -> c.callSign().equals(row.ownCall))
                .findFirst();
        boolean usable = chosen.map(StationView.CallView::validNow).orElse(false);
        String problem = row.ownCall == null || usable
                ? null
                : row.ownCall + (chosen.isPresent() ? " is not valid today" : " is not among the calls any more")
                        + ", so contacts are logged as " + whole.ownCall() + ".";
        Point point = whole.places().stream()
                .filter(p -> Objects.equals(row.placeId, p.id()))
                .map(StationView.PlaceView::locator)
                .filter(Objects::nonNull)
                .map(locator -> new Locator(locator).centre())
                .findFirst()
                .orElse(null);
        Watch watch = judgement(watcher(row, whole));
        return new PositionView(
                row.number(),
                row.name,
                row.operatorId,
                row.placeId,
                row.radioId,
                row.ownCall,
                usable ? row.ownCall : whole.ownCall(),
                problem,
                point == null ? null : point.latitudeDegrees(),
                point == null ? null : point.longitudeDegrees(),
                watch.segment(),
                watch.objection());
    }

    private PositionRow found(long id) {
        PositionRow row = db.find(PositionRow.class, id);
        if (row == null) {
            throw new Rejection("id", "There is no position " + id + ".");
        }
        return row;
    }

    private String name(@Nullable Long id, @Nullable String text) {
        String name = text == null ? "" : text.strip();
        if (name.isEmpty() || name.length() > MAX_NAME) {
            throw new Rejection("name", "A position needs a name of up to 60 letters, such as Desk or Tablet.");
        }
        boolean taken = rows().stream()
                .anyMatch(other -> other.name.equalsIgnoreCase(name) && (id == null || other.number() != id));
        if (taken) {
            throw new Rejection("name", "There is a position " + name + " already.");
        }
        return name;
    }

    private static @Nullable Long chosen(String field, long id, boolean exists) {
        if (id == 0) {
            return null;
        }
        if (!exists) {
            throw new Rejection(field, "There is none with the number " + id + ".");
        }
        return id;
    }

    private static @Nullable String call(String text, StationView whole) {
        String call = text.strip();
        if (call.isEmpty() || call.equals(whole.ownCall())) {
            return null;
        }
        if (whole.calls().stream().noneMatch(c -> c.callSign().equals(call))) {
            throw new Rejection("ownCall", call + " is not one of the station's calls.");
        }
        return call;
    }

    private void changed() {
        events.publishEvent(new PositionsChanged(true));
    }

    /** Only once it is stored: what is read before would be what was there before. */
    @TransactionalEventListener(fallbackExecution = true)
    void forget(PositionsChanged event) {
        if (event.setUp()) {
            watchers = null;
            settled.forget();
        }
    }

    @TransactionalEventListener(fallbackExecution = true)
    void stationChanged(StationChanged event) {
        changed();
    }

    @EventListener
    void radiosChanged(RadiosChanged event) {
        changed();
    }

    @EventListener
    void radioMoved(RadioUpdated event) {
        judge(event.radioId());
    }

    private void judge(long radioId) {
        boolean different = false;
        for (Watcher watcher : watchers()) {
            Long watchedRadio = watcher.radioId();
            if (watchedRadio == null || watchedRadio == radioId) {
                Watch now = judgement(watcher);
                different |= !now.equals(watched.put(watcher.positionId(), now));
            }
        }
        if (different) {
            events.publishEvent(new PositionsChanged(false));
        }
    }

    private Watch judgement(Watcher watcher) {
        RadioState state = radios.state(watcher.radioId()).orElse(RadioState.UNKNOWN);
        Long hz = state.transmitHz();
        Signal signal = Emission.of(state);
        if (hz == null) {
            return Watch.NOTHING;
        }
        Segment segment = BandPlan.of(watcher.region()).at(hz);
        Licence licence = watcher.licence();
        return new Watch(
                segment == null ? null : segment.use().words(),
                licence == null || signal == null
                        ? null
                        : licence.objection(signal).orElse(null));
    }

    private List<Watcher> watchers() {
        List<Watcher> known = watchers;
        if (known == null) {
            StationView whole = station.view();
            known = rows().stream().map(row -> watcher(row, whole)).toList();
            watchers = known;
        }
        return known;
    }

    private Watcher watcher(PositionRow row, StationView whole) {
        Region region = whole.preferences().region();
        return new Watcher(
                row.number(),
                row.radioId,
                whole.operators().stream()
                        .filter(o -> Objects.equals(o.id(), row.operatorId))
                        .findFirst()
                        .flatMap(o -> licences.named(o.licence()))
                        .orElse(null),
                region == null ? Region.EUROPE_AFRICA : region);
    }
}
