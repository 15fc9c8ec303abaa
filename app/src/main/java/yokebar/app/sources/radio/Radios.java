package yokebar.app.sources.radio;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.hookup.Hookups;
import yokebar.core.sources.radio.ModeMapping;
import yokebar.core.sources.radio.RadioCompletion;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.sources.radio.KeyRescueProcess;
import yokebar.links.sources.radio.KeyedRadio;
import yokebar.links.sources.radio.RadioDialects;

/** All radios of the station. */
@Service
public class Radios implements SmartLifecycle, Radio.Listener {
    private final EntityManager db;
    private final TransactionTemplate transaction;
    private final Hookups hookups;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final RadioDialects dialects;
    private final KeyRescueProcess rescue;
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
            KeyRescueProcess rescue,
            YokebarProperties properties) {
        this.db = db;
        this.transaction = transaction;
        this.hookups = hookups;
        this.events = events;
        this.clock = clock;
        this.dialects = dialects;
        this.rescue = rescue;
        this.firstSharePort = properties.radioSharePort();
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
                throw new Rejection("id", "There is no radio " + id + ".");
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
                throw new Rejection(
                        "address",
                        taken.name + " is on " + row.address + " already. Two radios share a port only when both speak "
                                + "framed CAT at the same speed and each has its own address on the bus.");
            }
            if (row.sharePort != null && row.sharePort.equals(taken.sharePort)) {
                throw new Rejection(
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

    /** The first radio's number. */
    Optional<Long> first() {
        return radios.keySet().stream().findFirst();
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
        if (row.sendTexts || row.sharePort != null && row.shareTransmit) {
            rescue.prepare();
        }
        hookups.register(fresh.hookup());
        fresh.start(hookups.wanted(fresh.hookup().id()));
    }

    /** @throws Rejection when there is none, or it is not connected */
    Radio connected(long id) {
        Radio radio = radios.get(id);
        if (radio == null) {
            throw new Rejection("id", "There is no radio " + id + ".");
        }
        // What it reports is known a moment before the link counts as connected.
        if (!radio.hookup().live() && radio.state().equals(RadioState.UNKNOWN)) {
            throw new Rejection("id", radio.row().name + " is not connected, so nothing was changed.");
        }
        return radio;
    }

    @Nullable
    Radio find(long id) {
        return radios.get(id);
    }

    RadioDialects dialects() {
        return dialects;
    }

    @Override
    public void moved(Radio radio) {
        events.publishEvent(new RadioUpdated(radio.row().number()));
    }

    @Override
    public void linkChanged(Radio radio) {
        hookups.changed(radio.hookup().id());
    }

    @Override
    public void leftKeyed(Radio radio, boolean on) {
        String id = radio.hookup().id();
        if (on) {
            rescue.keyed(new KeyedRadio(id, radio.row().name, radio.endpoint()));
        } else {
            rescue.receives(id);
        }
    }
}
