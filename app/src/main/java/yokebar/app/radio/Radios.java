package yokebar.app.radio;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.FieldProblem;
import yokebar.app.hookup.Hookups;
import yokebar.core.band.Band;
import yokebar.core.mode.Mode;
import yokebar.core.radio.ModeMapping;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioCompletion;
import yokebar.core.radio.RadioMode;
import yokebar.core.radio.RadioState;
import yokebar.links.radio.RadioDialects;

/** All radios of the station. */
@Service
public class Radios implements SmartLifecycle, Radio.Listener {
    private static final int REPORTS_WITHIN_SECONDS = 2;

    /** Whoever waits for a radio's report waits on this. */
    private final Object moves = new Object();

    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Hookups hookups;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final RadioDialects dialects;
    private final int firstSharePort;
    private final Map<Long, Radio> radios = new ConcurrentSkipListMap<>();
    private volatile boolean running;

    Radios(
            EntityManager db,
            TransactionTemplate transaction,
            Hookups hookups,
            ApplicationEventPublisher events,
            Clock clock,
            RadioDialects dialects,
            @Value("${yokebar.radio-share-port}") int firstSharePort) {
        this.db = db;
        this.transaction = transaction;
        this.hookups = hookups;
        this.events = events;
        this.clock = clock;
        this.dialects = dialects;
        this.firstSharePort = firstSharePort;
    }

    @Override
    public void start() {
        running = true;
        List<RadioRow> rows = transaction.execute(status ->
                db.createQuery("from RadioRow order by id", RadioRow.class).getResultList());
        rows.forEach(this::set);
    }

    @Override
    public void stop() {
        radios.values().forEach(Radio::stop);
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** What the radios that are connected report, for completing records; the first one first. */
    public List<RadioCompletion.Reading> readings() {
        return radios.values().stream()
                .filter(radio -> radio.hookup().live())
                .map(radio -> new RadioCompletion.Reading(
                        radio.row().number(), radio.state(), new ModeMapping(radio.row().lowerSidebandKeyed)))
                .toList();
    }

    /**
     * What a radio last reported; empty while it is not connected.
     *
     * @param id null for the first radio
     */
    public Optional<RadioState> state(@Nullable Long id) {
        Optional<Radio> radio = id == null ? radios.values().stream().findFirst() : Optional.ofNullable(radios.get(id));
        return radio.filter(r -> r.hookup().live()).map(Radio::state);
    }

    public List<RadioView> views() {
        return radios.values().stream().map(Radios::view).toList();
    }

    public Optional<RadioView> view(long id) {
        return Optional.ofNullable(radios.get(id)).map(Radios::view);
    }

    private static RadioView view(Radio radio) {
        return RadioView.of(radio);
    }

    /** @return the radio's number */
    long save(@Nullable Long id, RadioDraft draft) {
        RadioRow saved = transaction.execute(status -> {
            RadioRow row = id == null ? new RadioRow() : db.find(RadioRow.class, id);
            if (row == null) {
                throw new FieldProblem("id", "There is no radio " + id + ".");
            }
            if (id == null) {
                row.sharePort = nextSharePort();
            }
            draft.fill(row, dialects);
            db.persist(row);
            return row;
        });
        set(saved);
        events.publishEvent(new RadiosChanged());
        return saved.number();
    }

    private @Nullable Integer nextSharePort() {
        if (firstSharePort == 0) {
            return null;
        }
        Set<Integer> taken = radios.values().stream()
                .map(radio -> radio.row().sharePort)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        return IntStream.iterate(firstSharePort, port -> port + 1)
                .filter(port -> !taken.contains(port))
                .findFirst()
                .orElseThrow();
    }

    void remove(long id) {
        transaction.executeWithoutResult(status -> {
            RadioRow row = db.find(RadioRow.class, id);
            if (row != null) {
                db.remove(row);
            }
        });
        Radio radio = radios.remove(id);
        if (radio != null) {
            radio.stop();
            hookups.remove(radio.hookup());
        }
        events.publishEvent(new RadiosChanged());
    }

    private void set(RadioRow row) {
        Radio fresh = new Radio(row, dialects, clock, this);
        Radio before = radios.put(row.number(), fresh);
        if (before != null) {
            before.stop();
        }
        hookups.register(fresh.hookup());
        fresh.start(hookups.wanted(fresh.hookup().id()));
    }

    /** Sets what is given; what is null stays. */
    void tune(long id, @Nullable Long frequencyHz, @Nullable String mode, @Nullable Boolean split) {
        Radio radio = connected(id);
        RadioState state = radio.state();
        RadioMode radioMode = mode == null ? null : modeNamed(mode);
        if (frequencyHz != null) {
            if (frequencyHz < 1000 || frequencyHz > Band.SUBMM.highHz()) {
                throw new FieldProblem("frequencyHz", frequencyHz + " Hz is no radio frequency.");
            }
            radio.tell(new RadioCommand.Tune(state.vfo(), frequencyHz));
        }
        if (radioMode != null) {
            radio.tell(new RadioCommand.SetMode(radioMode));
        }
        if (split != null) {
            radio.tell(new RadioCommand.SetSplit(split));
        }
    }

    /**
     * Tunes a radio to what somebody typed, and waits until it reports that it is there: what is logged next is logged there.
     *
     * @param id null for the first radio
     * @param mode as the log names it
     * @return false when the radio did not report it within two seconds
     */
    public boolean tuneAndWait(@Nullable Long id, @Nullable Long frequencyHz, @Nullable Mode mode) {
        long radioId = id != null
                ? id
                : radios.keySet().stream()
                        .findFirst()
                        .orElseThrow(() ->
                                new FieldProblem("id", "There is no radio to tune. Connect one on the Hookups page."));
        Radio radio = connected(radioId);
        Long now = radio.state().transmitHz();
        long hz = frequencyHz != null ? frequencyHz : now == null ? 0 : now;
        RadioMode radioMode = mode == null ? null : new ModeMapping(radio.row().lowerSidebandKeyed).toRadio(mode, hz);
        tune(radioId, frequencyHz, radioMode == null ? null : radioMode.label(), null);
        return reported(radio, frequencyHz, radioMode);
    }

    /**
     * Tunes a radio to a station: where it sends, and where it listens when that is elsewhere.
     *
     * @param id null for the first radio
     * @param transmitHz where to call it, Hz; null to call it where it sends
     * @return false when the radio did not report it within two seconds
     */
    public boolean goTo(@Nullable Long id, long frequencyHz, @Nullable Mode mode, @Nullable Long transmitHz) {
        long radioId = id != null ? id : radios.keySet().stream().findFirst().orElse(0L);
        Radio radio = connected(radioId);
        boolean split = transmitHz != null;
        if (!split && radio.state().split()) {
            radio.tell(new RadioCommand.SetSplit(false));
        }
        RadioMode radioMode =
                mode == null ? null : new ModeMapping(radio.row().lowerSidebandKeyed).toRadio(mode, frequencyHz);
        tune(radioId, frequencyHz, radioMode == null ? null : radioMode.label(), null);
        if (split) {
            radio.tell(new RadioCommand.Tune(radio.state().vfo().other(), transmitHz));
            radio.tell(new RadioCommand.SetSplit(true));
        }
        return reported(radio, split ? transmitHz : frequencyHz, radioMode);
    }

    private boolean reported(Radio radio, @Nullable Long frequencyHz, @Nullable RadioMode mode) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(REPORTS_WITHIN_SECONDS);
        synchronized (moves) {
            while (!isThere(radio.state(), frequencyHz, mode)) {
                long left = TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime());
                if (left <= 0) {
                    return false;
                }
                try {
                    moves.wait(left);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean isThere(RadioState state, @Nullable Long frequencyHz, @Nullable RadioMode mode) {
        return (frequencyHz == null || frequencyHz.equals(state.transmitHz()))
                && (mode == null || mode == state.mode());
    }

    private static RadioMode modeNamed(String label) {
        RadioMode mode = RadioMode.labelled(label);
        if (mode == null) {
            throw new FieldProblem(
                    "mode", "\"" + label + "\" is no mode of a radio; it is USB, CW, DATA-U or the like.");
        }
        return mode;
    }

    private Radio connected(long id) {
        Radio radio = radios.get(id);
        if (radio == null) {
            throw new FieldProblem("id", "There is no radio " + id + ".");
        }
        if (!radio.hookup().live()) {
            throw new FieldProblem("id", radio.row().name + " is not connected, so it was not tuned.");
        }
        return radio;
    }

    RadioDialects dialects() {
        return dialects;
    }

    @Override
    public void moved(Radio radio) {
        synchronized (moves) {
            moves.notifyAll();
        }
        events.publishEvent(new RadioMoved(radio.row().number()));
    }

    @Override
    public void linkChanged(Radio radio) {
        hookups.changed(radio.hookup().id());
    }
}
