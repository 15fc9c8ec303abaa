package yokebar.app.station.profile;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;
import yokebar.core.services.delivery.OwnCalls;

/** Who we are: calls, operators, places, and how we like things. */
@Service
public class Station {
    private final EntityManager db;
    private final Places places;
    private final Licences licences;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    Station(EntityManager db, Places places, Licences licences, Clock clock, ApplicationEventPublisher events) {
        this.db = db;
        this.places = places;
        this.licences = licences;
        this.clock = clock;
        this.events = events;
    }

    /** The call we use when neither a record nor a position says another. */
    @Transactional(readOnly = true)
    public Optional<Call> ownCall() {
        return Optional.ofNullable(row().ownCall).map(Call::new);
    }

    @Transactional(readOnly = true)
    public Preferences preferences() {
        return Preferences.of(row());
    }

    @Transactional(readOnly = true)
    public StationView view() {
        StationRow row = row();
        List<StationView.PlaceView> all = places.all(row.ownCall);
        return new StationView(
                row.ownCall,
                row.ownCall != null && !all.isEmpty(),
                calls(),
                operators(),
                all,
                Preferences.of(row),
                licences.all().stream()
                        .map(l -> new StationView.LicenceView(l.id(), l.name()))
                        .toList(),
                licences.problem());
    }

    /** All calls we may use, with their days; none while the station has no call. */
    @Transactional(readOnly = true)
    public OwnCalls ownCalls() {
        String own = row().ownCall;
        if (own == null) {
            return new OwnCalls(List.of());
        }
        List<OwnCalls.OwnCall> all = new ArrayList<>();
        all.add(new OwnCalls.OwnCall(new Call(own), null, null));
        db.createQuery("from FurtherCall", FurtherCall.class)
                .getResultStream()
                .map(c -> new OwnCalls.OwnCall(new Call(c.callSign), c.validFrom, c.validUntil))
                .forEach(all::add);
        return new OwnCalls(all);
    }

    private List<StationView.CallView> calls() {
        return db.createQuery("from FurtherCall order by validFrom nulls first, callSign", FurtherCall.class)
                .getResultStream()
                .map(c -> new StationView.CallView(
                        Stored.id(c.id), c.callSign, c.validFrom, c.validUntil, c.note, c.validOn(today())))
                .toList();
    }

    private List<StationView.OperatorView> operators() {
        return db.createQuery("from Operator order by callSign", Operator.class)
                .getResultStream()
                .map(o -> new StationView.OperatorView(Stored.id(o.id), o.callSign, o.name, o.licence))
                .toList();
    }

    @Transactional
    public void setOwnCall(String ownCall) {
        row().ownCall = call("ownCall", ownCall);
        events.publishEvent(new StationChanged());
    }

    /** What is null stays as it is. */
    @Transactional
    public void prefer(Preferences preferences) {
        preferences.fill(row());
        events.publishEvent(new StationChanged());
    }

    /**
     * A call as it is typed.
     *
     * @param validFrom first day, UTC, such as 2026-05-01; null or blank for always
     * @param validUntil last day, UTC; null or blank for ever
     */
    record CallDraft(
            @Nullable String callSign,
            @Nullable String validFrom,
            @Nullable String validUntil,
            @Nullable String note) {}

    @Transactional
    void saveCall(@Nullable Long id, CallDraft draft) {
        FurtherCall call = id == null ? new FurtherCall() : Stored.found(db, FurtherCall.class, "id", id);
        String text = call("callSign", draft.callSign() == null ? "" : draft.callSign());
        refuseTwice(FurtherCall.class, text, id, " is there already.");
        LocalDate from = day("validFrom", draft.validFrom());
        LocalDate until = day("validUntil", draft.validUntil());
        if (from != null && until != null && until.isBefore(from)) {
            throw new Rejection("validUntil", "It ends before it begins.");
        }
        call.callSign = text;
        call.validFrom = from;
        call.validUntil = until;
        call.note = Stored.blankToNull(draft.note());
        db.persist(call);
        events.publishEvent(new StationChanged());
    }

    @Transactional
    void removeCall(long id) {
        db.remove(Stored.found(db, FurtherCall.class, "id", id));
        events.publishEvent(new StationChanged());
    }

    /** An operator as it is typed. */
    record OperatorDraft(@Nullable String callSign, @Nullable String name, @Nullable String licence) {}

    /** @return the operator's number */
    @Transactional
    long saveOperator(@Nullable Long id, OperatorDraft draft) {
        Operator operator = id == null ? new Operator() : Stored.found(db, Operator.class, "id", id);
        String call = call("callSign", draft.callSign() == null ? "" : draft.callSign());
        refuseTwice(Operator.class, call, id, " is an operator already.");
        String licence = Stored.blankToNull(draft.licence());
        if (licence != null && licences.named(licence).isEmpty()) {
            throw new Rejection("licence", "There is no licence \"" + licence + "\".");
        }
        operator.callSign = call;
        operator.name = Stored.blankToNull(draft.name());
        operator.licence = licence;
        db.persist(operator);
        events.publishEvent(new StationChanged());
        return Stored.id(operator.id);
    }

    /** @return the place's number */
    @Transactional
    long savePlace(@Nullable Long id, Places.PlaceDraft draft) {
        long saved = places.save(id, draft);
        events.publishEvent(new StationChanged());
        return saved;
    }

    @Transactional(readOnly = true)
    public Optional<StationView.PlaceView> place(long id) {
        return places.find(id, row().ownCall);
    }

    @Transactional(readOnly = true)
    public Optional<StationView.OperatorView> operator(long id) {
        return operators().stream().filter(o -> o.id() == id).findFirst();
    }

    private void refuseTwice(Class<?> kind, String call, @Nullable Long id, String why) {
        boolean taken = db.createQuery("select id from " + kind.getSimpleName() + " where callSign = :call", Long.class)
                .setParameter("call", call)
                .getResultStream()
                .anyMatch(other -> !other.equals(id));
        if (taken) {
            throw new Rejection("callSign", call + why);
        }
    }

    private static @Nullable LocalDate day(String field, @Nullable String text) {
        String tidy = Stored.blankToNull(text);
        try {
            return tidy == null ? null : LocalDate.parse(tidy);
        } catch (DateTimeException e) {
            throw new Rejection(field, "\"" + tidy + "\" is not a date; write it like 2026-05-01.");
        }
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    private StationRow row() {
        return db.find(StationRow.class, StationRow.ONLY);
    }

    private static String call(String field, String text) {
        Call call = Call.read(text);
        if (call == null) {
            throw new Rejection(
                    field, "\"" + text + "\" cannot be a call: letters, digits and / only, at least three.");
        }
        return call.text();
    }
}
