package yokebar.app.station;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.FieldProblem;
import yokebar.core.call.Call;
import yokebar.core.geo.Locator;

/** Who and where we are. */
@Service
public class Station {
    private final EntityManager db;
    private final ApplicationEventPublisher events;

    Station(EntityManager db, ApplicationEventPublisher events) {
        this.db = db;
        this.events = events;
    }

    /** The call we use when a record does not say. */
    @Transactional(readOnly = true)
    public Optional<Call> ownCall() {
        return Optional.ofNullable(row().ownCall).map(Call::new);
    }

    /**
     * Who operates from where at present.
     *
     * @param operatorCall null when no operator is chosen
     * @param placeId null when no place is chosen
     */
    public record Present(@Nullable String operatorCall, @Nullable Long placeId) {}

    @Transactional(readOnly = true)
    public Present present() {
        StationRow row = row();
        Operator operator = row.operatorId == null ? null : db.find(Operator.class, row.operatorId);
        return new Present(operator == null ? null : operator.callSign, row.placeId);
    }

    @Transactional(readOnly = true)
    public StationView view() {
        StationRow row = row();
        List<StationView.OperatorView> operators = db.createQuery("from Operator order by callSign", Operator.class)
                .getResultStream()
                .map(o -> new StationView.OperatorView(idOf(o.id), o.callSign, o.name))
                .toList();
        List<StationView.PlaceView> places = db.createQuery("from Place order by name", Place.class)
                .getResultStream()
                .map(p -> new StationView.PlaceView(idOf(p.id), p.name, p.locator, p.rig, p.antenna, p.powerW))
                .toList();
        boolean ready = row.ownCall != null && row.placeId != null;
        return new StationView(row.ownCall, row.operatorId, row.placeId, ready, operators, places);
    }

    @Transactional
    public void setUse(@Nullable String ownCall, @Nullable Long operatorId, @Nullable Long placeId) {
        StationRow row = row();
        if (ownCall != null) {
            row.ownCall = call("ownCall", ownCall);
        }
        if (operatorId != null) {
            row.operatorId = found(Operator.class, "operatorId", operatorId).id;
        }
        if (placeId != null) {
            row.placeId = found(Place.class, "placeId", placeId).id;
        }
        events.publishEvent(new StationChanged());
    }

    /** @return the operator's number */
    @Transactional
    public long saveOperator(@Nullable Long id, String callSign, @Nullable String name) {
        Operator operator = id == null ? new Operator() : found(Operator.class, "id", id);
        String call = call("callSign", callSign);
        boolean taken = db.createQuery("from Operator where callSign = :call", Operator.class)
                .setParameter("call", call)
                .getResultStream()
                .anyMatch(other -> !other.id.equals(id));
        if (taken) {
            throw new FieldProblem("callSign", call + " is an operator already.");
        }
        operator.callSign = call;
        operator.name = blankToNull(name);
        db.persist(operator);
        events.publishEvent(new StationChanged());
        return idOf(operator.id);
    }

    /** @return the place's number */
    @Transactional
    public long savePlace(@Nullable Long id, PlaceDraft draft) {
        Place place = id == null ? new Place() : found(Place.class, "id", id);
        if (draft.name() == null || draft.name().isBlank()) {
            throw new FieldProblem("name", "A place needs a name, such as Home.");
        }
        place.name = draft.name().strip();
        place.locator = locator(blankToNull(draft.locator()));
        place.rig = blankToNull(draft.rig());
        place.antenna = blankToNull(draft.antenna());
        if (draft.powerW() != null && (draft.powerW() < 0 || draft.powerW() > 10_000)) {
            throw new FieldProblem("powerW", "Power is between 0 and 10 000 W.");
        }
        place.powerW = draft.powerW();
        db.persist(place);
        events.publishEvent(new StationChanged());
        return idOf(place.id);
    }

    /**
     * A place as it is typed.
     *
     * @param powerW default power, W
     */
    public record PlaceDraft(
            @Nullable String name,
            @Nullable String locator,
            @Nullable String rig,
            @Nullable String antenna,
            @Nullable Integer powerW) {}

    private StationRow row() {
        return db.find(StationRow.class, StationRow.ONLY);
    }

    private <T> T found(Class<T> kind, String field, long id) {
        T entity = db.find(kind, id);
        if (entity == null) {
            throw new FieldProblem(field, "There is no " + kind.getSimpleName().toLowerCase() + " " + id + ".");
        }
        return entity;
    }

    private static String call(String field, String text) {
        Call call = Call.read(text);
        if (call == null) {
            throw new FieldProblem(
                    field, "\"" + text + "\" cannot be a call: letters, digits and / only, at least three.");
        }
        return call.text();
    }

    private static @Nullable String locator(@Nullable String text) {
        if (text == null) {
            return null;
        }
        Locator locator = Locator.read(text);
        if (locator == null) {
            throw new FieldProblem("locator", "\"" + text + "\" is not a locator; it looks like HM49 or HM49kq.");
        }
        return locator.text();
    }

    private static @Nullable String blankToNull(@Nullable String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }

    private static long idOf(@Nullable Long id) {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }
}
