package yokebar.app.radio;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
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
import yokebar.core.radio.Vfo;
import yokebar.links.radio.CommandOutcome;
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
            refuseTaken(row);
            db.persist(row);
            return row;
        });
        set(saved);
        events.publishEvent(new RadiosChanged());
        return saved.number();
    }

    /** Two radios on one port would each take the other's answers; only on a bus they have addresses of their own. */
    private void refuseTaken(RadioRow row) {
        for (Radio other : radios.values()) {
            RadioRow taken = other.row();
            if (Objects.equals(taken.id, row.id)) {
                continue;
            }
            boolean shareBus = dialects.named(taken.dialect).bus()
                    && taken.dialect.equals(row.dialect)
                    && taken.bus != row.bus
                    && Objects.equals(taken.baud, row.baud);
            if (taken.address.equals(row.address) && !shareBus) {
                throw new FieldProblem(
                        "address",
                        taken.name + " is on " + row.address + " already. Two radios share a port only when both speak "
                                + "framed CAT at the same speed and each has its own address on the bus.");
            }
            if (row.sharePort != null && row.sharePort.equals(taken.sharePort)) {
                throw new FieldProblem(
                        "sharePort",
                        taken.name + " is shared on port " + row.sharePort + " already. Set another port.");
            }
        }
    }

    /** The radio's rotator, where one was named. */
    public Optional<Long> rotorOf(@Nullable Long id) {
        Optional<Radio> radio = id == null ? radios.values().stream().findFirst() : Optional.ofNullable(radios.get(id));
        return radio.map(r -> r.row().rotorId);
    }

    /** The one radio there is; empty when there is none or several. */
    public Optional<Long> onlyOne() {
        return radios.size() == 1 ? radios.keySet().stream().findFirst() : Optional.empty();
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

    /**
     * Sets what is given; what is null stays. Returns when the radio has taken it, or after a second when it has not said.
     *
     * @throws FieldProblem when the radio refuses it
     */
    void tune(long id, @Nullable Long frequencyHz, @Nullable String mode, @Nullable Boolean split) {
        Radio radio = connected(id);
        RadioMode radioMode = mode == null ? null : modeNamed(mode);
        if (frequencyHz != null && (frequencyHz < 1000 || frequencyHz > Band.SUBMM.highHz())) {
            throw new FieldProblem("frequencyHz", frequencyHz + " Hz is no radio frequency.");
        }
        Told told = new Told(radio);
        if (frequencyHz != null) {
            told.tune(receivingOn(radio), frequencyHz);
        }
        if (radioMode != null) {
            told.tell("mode", new RadioCommand.SetMode(radioMode), "the mode " + radioMode.label());
        }
        if (split != null) {
            told.tell("split", new RadioCommand.SetSplit(split), split ? "split operation" : "operation without split");
        }
        told.await();
    }

    private static Vfo receivingOn(Radio radio) {
        Vfo vfo = radio.state().vfo();
        if (vfo == null) {
            throw new FieldProblem(
                    "id",
                    radio.row().name
                            + " has not reported which VFO it receives on, so it was not tuned. Try again in a "
                            + "moment.");
        }
        return vfo;
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
     * @throws FieldProblem when the radio refuses it
     */
    public boolean goTo(@Nullable Long id, long frequencyHz, @Nullable Mode mode, @Nullable Long transmitHz) {
        long radioId = id != null ? id : radios.keySet().stream().findFirst().orElse(0L);
        Radio radio = connected(radioId);
        boolean split = transmitHz != null;
        if (!split && radio.state().isSplit()) {
            radio.tell(new RadioCommand.SetSplit(false));
        }
        RadioMode radioMode =
                mode == null ? null : new ModeMapping(radio.row().lowerSidebandKeyed).toRadio(mode, frequencyHz);
        tune(radioId, frequencyHz, radioMode == null ? null : radioMode.label(), null);
        if (split) {
            Told told = new Told(radio);
            told.tune(receivingOn(radio).other(), transmitHz);
            told.tell("split", new RadioCommand.SetSplit(true), "split operation");
            told.await();
        }
        return reported(radio, split ? transmitHz : frequencyHz, radioMode);
    }

    /** Commands given to a radio, and what it made of them. */
    private static final class Told {
        private static final long WITHIN_MS = 900;

        private final Radio radio;
        private final List<Waiting> waiting = new ArrayList<>();

        /** @param what in words, for when it is refused */
        private record Waiting(String field, String what, CompletableFuture<CommandOutcome> outcome) {}

        Told(Radio radio) {
            if (!radio.mayCommand()) {
                throw new FieldProblem(
                        "id", "A program is transmitting with " + radio.row().name + ", so nothing was changed.");
            }
            this.radio = radio;
        }

        void tune(Vfo vfo, long hz) {
            if (hz > radio.maxHz()) {
                throw new FieldProblem(
                        "frequencyHz",
                        "The language of " + radio.row().name + " carries frequencies up to "
                                + Radio.megahertz(radio.maxHz()) + " MHz, so it was not tuned.");
            }
            tell("frequencyHz", new RadioCommand.Tune(vfo, hz), Radio.megahertz(hz) + " MHz");
        }

        void tell(String field, RadioCommand command, String what) {
            waiting.add(new Waiting(field, what, radio.tell(command)));
        }

        void await() {
            long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(WITHIN_MS);
            List<FieldProblem.Field> problems = new ArrayList<>();
            for (Waiting one : waiting) {
                String problem = problem(one, until);
                if (problem != null) {
                    problems.add(new FieldProblem.Field(one.field(), problem));
                }
            }
            if (!problems.isEmpty()) {
                throw new FieldProblem(problems);
            }
        }

        private @Nullable String problem(Waiting one, long until) {
            String name = radio.row().name;
            return switch (outcome(one, until)) {
                case DONE, SUPERSEDED -> null;
                case REFUSED -> name + " refused " + one.what() + ".";
                case IGNORED -> name + " did not take " + one.what() + ".";
                case IMPOSSIBLE -> name + " cannot be told " + one.what() + ".";
                case UNANSWERED -> name + " has not answered, so it may not have taken " + one.what() + ".";
                case DROPPED ->
                    name + " was not told " + one.what() + ": the connection was lost, or too much waits for it.";
            };
        }

        /** A slow radio is not waited for longer; its next reports show what it did. */
        private static CommandOutcome outcome(Waiting one, long until) {
            try {
                return one.outcome().get(Math.max(1, until - System.nanoTime()), TimeUnit.NANOSECONDS);
            } catch (TimeoutException e) {
                return CommandOutcome.SUPERSEDED;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return CommandOutcome.SUPERSEDED;
            } catch (ExecutionException e) {
                throw new IllegalStateException(e);
            }
        }
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
        // What it reports is known a moment before the link counts as connected.
        if (!radio.hookup().live() && radio.state().equals(RadioState.UNKNOWN)) {
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
