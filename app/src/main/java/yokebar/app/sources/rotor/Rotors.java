package yokebar.app.sources.rotor;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentSkipListMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.hookup.Hookups;
import yokebar.core.sources.rotor.RotorState;
import yokebar.links.sources.rotor.RotorLink;

/** All rotators of the station. */
@Service
public class Rotors implements SmartLifecycle, Rotor.Listener {
    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Hookups hookups;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Map<Long, Rotor> rotors = new ConcurrentSkipListMap<>();
    private volatile boolean running;

    Rotors(
            EntityManager db,
            TransactionTemplate transaction,
            Hookups hookups,
            ApplicationEventPublisher events,
            Clock clock) {
        this.db = db;
        this.transaction = transaction;
        this.hookups = hookups;
        this.events = events;
        this.clock = clock;
    }

    @Override
    public void start() {
        running = true;
        List<RotorRow> rows = transaction.execute(status ->
                db.createQuery("from RotorRow order by id", RotorRow.class).getResultList());
        rows.forEach(this::set);
    }

    @Override
    public void stop() {
        rotors.values().forEach(rotor -> rotor.hookup().disconnect());
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    public List<RotorView> views() {
        return rotors.values().stream()
                .map(rotor -> RotorView.of(rotor.row(), rotor.state()))
                .toList();
    }

    public Optional<RotorView> view(long id) {
        return Optional.ofNullable(rotors.get(id)).map(rotor -> RotorView.of(rotor.row(), rotor.state()));
    }

    void save(@Nullable Long id, RotorDraft draft) {
        RotorRow saved = transaction.execute(status -> {
            RotorRow row = id == null ? new RotorRow() : db.find(RotorRow.class, id);
            if (row == null) {
                throw new Rejection("id", "There is no rotator " + id + ".");
            }
            draft.fill(row);
            refuseTaken(row);
            db.persist(row);
            return row;
        });
        set(saved);
        events.publishEvent(new RotorTurned(saved.number()));
    }

    private void refuseTaken(RotorRow row) {
        for (Rotor other : rotors.values()) {
            if (!Objects.equals(other.row().id, row.id) && other.row().address.equals(row.address)) {
                throw new Rejection(
                        "address",
                        other.row().name + " is on " + row.address + " already. Each rotator needs its own.");
            }
        }
    }

    void remove(long id) {
        transaction.executeWithoutResult(status -> {
            RotorRow row = db.find(RotorRow.class, id);
            if (row != null) {
                db.remove(row);
            }
        });
        Rotor rotor = rotors.remove(id);
        if (rotor != null) {
            rotor.hookup().disconnect();
            hookups.remove(rotor.hookup());
        }
        events.publishEvent(new RotorTurned(id));
    }

    private void set(RotorRow row) {
        Rotor fresh = new Rotor(row, clock, this);
        Rotor before = rotors.put(row.number(), fresh);
        if (before != null) {
            before.hookup().disconnect();
        }
        hookups.register(fresh.hookup());
        if (hookups.wanted(fresh.hookup().id())) {
            fresh.hookup().connect();
        }
    }

    /** Turns an antenna the nearest way its stop allows, degrees true. */
    void point(long id, double headingDegrees) {
        if (!(headingDegrees >= 0 && headingDegrees <= 360)) {
            throw new Rejection("headingDegrees", "A heading is 0 to 360 degrees.");
        }
        Rotor rotor = found(id);
        RotorLink link = connected(rotor);
        RotorState state = link.state();
        if (state.headingDegrees() == null) {
            throw new Rejection("id", rotor.row().name + " has not said yet where it points.");
        }
        String refusal = refusal(rotor, headingDegrees);
        if (refusal != null) {
            throw new Rejection("headingDegrees", refusal);
        }
        link.point(headingDegrees);
    }

    /**
     * Turns an antenna towards a bearing.
     *
     * @param id the rotator to turn; null for the first that is connected and can point there
     * @param headingDegrees degrees true
     * @return its name, or empty when it is not connected or cannot point there
     */
    public Optional<String> turnTo(@Nullable Long id, double headingDegrees) {
        for (Rotor rotor : rotors.values()) {
            boolean wanted = id == null || id.equals(rotor.row().id);
            if (wanted
                    && rotor.hookup().live()
                    && rotor.state().headingDegrees() != null
                    && refusal(rotor, headingDegrees) == null) {
                point(rotor.row().number(), headingDegrees);
                return Optional.of(rotor.row().name);
            }
        }
        return Optional.empty();
    }

    private static @Nullable String refusal(Rotor rotor, double headingDegrees) {
        if (rotor.row().travel().inDeadZone(headingDegrees)) {
            return Math.round(headingDegrees) + "° lies in a dead zone of " + rotor.row().name + " ("
                    + rotor.row().deadZones + "), so it was not turned.";
        }
        return rotor.row().travel().reaches(headingDegrees)
                ? null
                : Math.round(headingDegrees) + "° is out of the travel of " + rotor.row().name
                        + ", so it was not turned.";
    }

    /** Raises an antenna, degrees above the horizon. */
    void raise(long id, double elevationDegrees) {
        if (!(elevationDegrees >= 0 && elevationDegrees <= 90)) {
            throw new Rejection("elevationDegrees", "An elevation is 0 to 90 degrees.");
        }
        Rotor rotor = found(id);
        RotorLink link = connected(rotor);
        if (link.state().elevationDegrees() == null) {
            throw new Rejection("elevationDegrees", rotor.row().name + " does not turn up and down.");
        }
        link.raise(elevationDegrees);
    }

    void stop(long id) {
        connected(found(id)).stop();
    }

    private Rotor found(long id) {
        Rotor rotor = rotors.get(id);
        if (rotor == null) {
            throw new Rejection("id", "There is no rotator " + id + ".");
        }
        return rotor;
    }

    private static RotorLink connected(Rotor rotor) {
        return rotor.hookup().link().orElseThrow(() -> new Rejection("id", rotor.row().name + " is not connected."));
    }

    @Override
    public void turned(Rotor rotor) {
        events.publishEvent(new RotorTurned(rotor.row().number()));
    }

    @Override
    public void linkChanged(Rotor rotor) {
        hookups.changed(rotor.hookup().id());
    }
}
