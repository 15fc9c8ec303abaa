package yokebar.app.live;

import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Consumer;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.clock.ClockCheck;
import yokebar.app.clock.ClockChecked;
import yokebar.app.confirm.ConfirmationReceived;
import yokebar.app.delivery.LaneChanged;
import yokebar.app.digital.DigitalPrograms;
import yokebar.app.digital.ProgramUpdated;
import yokebar.app.hookup.Hookup;
import yokebar.app.hookup.HookupChanged;
import yokebar.app.hookup.HookupView;
import yokebar.app.hookup.Hookups;
import yokebar.app.log.ChangeUpdated;
import yokebar.app.log.ContactLog;
import yokebar.app.log.ContactsChanged;
import yokebar.app.log.ContactsDeleted;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.ContactsRestored;
import yokebar.app.log.LogChanges;
import yokebar.app.log.LogLine;
import yokebar.app.log.SealsChanged;
import yokebar.app.onair.AirUpdated;
import yokebar.app.onair.Alert;
import yokebar.app.onair.AlertsFired;
import yokebar.app.position.Positions;
import yokebar.app.position.PositionsChanged;
import yokebar.app.radio.RadioUpdated;
import yokebar.app.radio.Radios;
import yokebar.app.radio.RadiosChanged;
import yokebar.app.rotor.RotorTurned;
import yokebar.app.rotor.Rotors;
import yokebar.app.safety.Storage;
import yokebar.app.search.DeviceSearches;
import yokebar.app.search.SearchUpdated;
import yokebar.app.station.StationChanged;
import yokebar.core.contact.LoggedContact;

/**
 * Turns what happened into messages for the pages. The first fact is told at once, those that follow are gathered for a few hundredths of a second and told together,
 * so that a burst of a thousand contacts is a handful of messages; what is told is read afresh, after its transaction.
 */
@Component
class LiveFacts {
    private static final long TELL_EVERY_MS = 40;
    /** With more changed at once than a page shows, it is quicker to load the page afresh. */
    private static final int MAX_LINES = 200;

    private static final int MAX_FIRSTS = 3;

    private final LiveStream stream;
    private final ContactLog log;
    private final LogChanges changes;
    private final Hookups hookups;
    private final Radios radios;
    private final Rotors rotors;
    private final Positions positions;
    private final ClockCheck clockCheck;
    private final Storage storage;
    private final DeviceSearches searches;
    private final DigitalPrograms programs;
    private final TaskScheduler scheduler;
    private final AtomicBoolean planned = new AtomicBoolean();
    private final ReentrantLock telling = new ReentrantLock();
    private Facts gathered = new Facts();
    private volatile Instant lastTold = Instant.EPOCH;

    LiveFacts(
            LiveStream stream,
            ContactLog log,
            LogChanges changes,
            Hookups hookups,
            Radios radios,
            Rotors rotors,
            Positions positions,
            ClockCheck clockCheck,
            Storage storage,
            DeviceSearches searches,
            DigitalPrograms programs,
            TaskScheduler scheduler) {
        this.stream = stream;
        this.log = log;
        this.changes = changes;
        this.hookups = hookups;
        this.radios = radios;
        this.rotors = rotors;
        this.positions = positions;
        this.clockCheck = clockCheck;
        this.storage = storage;
        this.searches = searches;
        this.programs = programs;
        this.scheduler = scheduler;
    }

    /** What happened since it was last told. */
    private static final class Facts {
        private final Set<Long> added = new HashSet<>();
        private final Set<Long> changed = new HashSet<>();
        private final Set<Long> gone = new HashSet<>();
        private final Set<Long> logChanges = new HashSet<>();
        private final Set<String> hookups = new HashSet<>();
        private final Set<Integer> lanes = new HashSet<>();
        private final Set<Long> radios = new HashSet<>();
        private final List<ConfirmationReceived.First> firsts = new ArrayList<>();
        private final List<Alert> alerts = new ArrayList<>();
        private final Set<Topic> topics = EnumSet.noneOf(Topic.class);
        private boolean rotors;
    }

    /** What is told whole. */
    private enum Topic {
        STATION,
        RADIO_SET,
        POSITIONS,
        CLOCK,
        STORAGE,
        SEARCH,
        PROGRAMS,
        AIR
    }

    /**
     * Lines of the log that are new or different.
     *
     * @param gone numbers of contacts that are not in the log any more
     * @param total contacts in the whole log
     * @param more how many more there are than are told here; the page loads afresh then
     */
    record LogNews(List<LogLine> added, List<LogLine> changed, Set<Long> gone, long total, int more) {}

    /** A coupling that was taken down for good. */
    record Gone(String id) {}

    /**
     * What was confirmed for the first time.
     *
     * @param firsts some of it
     * @param more how much more there is
     */
    record FirstsNews(List<ConfirmationReceived.First> firsts, int more) {}

    /** A lane to be read again. */
    record LaneNews(Set<Integer> services) {}

    @TransactionalEventListener
    void logged(ContactsLogged event) {
        note(facts -> event.contacts().stream().map(LoggedContact::id).forEach(facts.added::add));
    }

    @TransactionalEventListener
    void changed(ContactsChanged event) {
        note(facts -> facts.changed.addAll(event.ids()));
    }

    @TransactionalEventListener
    void deleted(ContactsDeleted event) {
        note(facts -> {
            facts.gone.addAll(event.ids());
            event.ids().forEach(facts.changed::remove);
        });
    }

    @TransactionalEventListener
    void restored(ContactsRestored event) {
        note(facts -> event.contacts().forEach(contact -> {
            facts.added.add(contact.id());
            facts.gone.remove(contact.id());
        }));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void change(ChangeUpdated event) {
        note(facts -> facts.logChanges.add(event.changeId()));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void seals(SealsChanged event) {
        note(facts -> facts.changed.addAll(event.contactIds()));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void lane(LaneChanged event) {
        note(facts -> facts.lanes.add(event.serviceId()));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void confirmed(ConfirmationReceived event) {
        if (!event.firsts().isEmpty()) {
            note(facts -> facts.firsts.addAll(event.firsts()));
        }
    }

    @EventListener
    void hookup(HookupChanged event) {
        note(facts -> facts.hookups.add(event.id()));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void station(StationChanged event) {
        note(facts -> facts.topics.add(Topic.STATION));
    }

    @TransactionalEventListener(fallbackExecution = true)
    void positions(PositionsChanged event) {
        note(facts -> facts.topics.add(Topic.POSITIONS));
    }

    @EventListener
    void clock(ClockChecked event) {
        note(facts -> facts.topics.add(Topic.CLOCK));
    }

    @EventListener
    void storage(Storage.Changed event) {
        note(facts -> facts.topics.add(Topic.STORAGE));
    }

    @EventListener
    void search(SearchUpdated event) {
        note(facts -> facts.topics.add(Topic.SEARCH));
    }

    @EventListener
    void program(ProgramUpdated event) {
        note(facts -> facts.topics.add(Topic.PROGRAMS));
    }

    /** Many times a second in a storm. Without a page nothing is missed: whoever looks at the air reads it again by itself. */
    @EventListener
    void air(AirUpdated event) {
        if (stream.hasPages()) {
            note(facts -> facts.topics.add(Topic.AIR));
        }
    }

    @EventListener
    void alerts(AlertsFired event) {
        note(facts -> facts.alerts.addAll(event.alerts()));
    }

    @EventListener
    void radios(RadiosChanged event) {
        note(facts -> facts.topics.add(Topic.RADIO_SET));
    }

    @EventListener
    void radio(RadioUpdated event) {
        noteDevice(facts -> facts.radios.add(event.radioId()));
    }

    @EventListener
    void rotor(RotorTurned event) {
        noteDevice(facts -> facts.rotors = true);
    }

    /** Devices report many times a second; with no page open that is not worth waking anybody. */
    private void noteDevice(Consumer<Facts> fact) {
        if (stream.hasPages()) {
            note(fact);
        } else {
            stream.skip();
        }
    }

    private void note(Consumer<Facts> fact) {
        synchronized (this) {
            fact.accept(gathered);
        }
        if (planned.compareAndSet(false, true)) {
            Instant now = Instant.now();
            Instant next = lastTold.plusMillis(TELL_EVERY_MS);
            scheduler.schedule(this::tell, next.isAfter(now.plusMillis(TELL_EVERY_MS)) ? now : next);
        }
    }

    private synchronized Facts take() {
        Facts taken = gathered;
        gathered = new Facts();
        return taken;
    }

    /** One at a time: what was read earlier must not be sent after what was read later. */
    private void tell() {
        telling.lock();
        try {
            lastTold = Instant.now();
            planned.set(false);
            tell(take());
        } finally {
            telling.unlock();
        }
    }

    private void tell(Facts facts) {
        if (!facts.added.isEmpty() || !facts.changed.isEmpty() || !facts.gone.isEmpty()) {
            tellLog(facts);
        }
        facts.logChanges.forEach(id -> changes.find(id).ifPresent(change -> stream.send("change", change)));
        for (String id : facts.hookups) {
            Optional<Hookup> hookup = hookups.find(id);
            if (hookup.isPresent()) {
                stream.send("hookup", HookupView.of(hookup.get()));
            } else {
                stream.send("hookup-gone", new Gone(id));
            }
        }
        if (facts.topics.contains(Topic.RADIO_SET)) {
            stream.send("radios", radios.views());
        } else {
            facts.radios.forEach(id -> radios.view(id).ifPresent(radio -> stream.send("radio", radio)));
        }
        if (facts.rotors) {
            stream.send("rotors", rotors.views());
        }
        if (!facts.lanes.isEmpty() || !facts.added.isEmpty()) {
            stream.send("lanes", new LaneNews(facts.lanes));
        }
        if (!facts.firsts.isEmpty()) {
            int told = Math.min(MAX_FIRSTS, facts.firsts.size());
            stream.send(
                    "firsts", new FirstsNews(List.copyOf(facts.firsts.subList(0, told)), facts.firsts.size() - told));
        }
        if (facts.topics.contains(Topic.STATION)) {
            stream.send("station", List.of());
        }
        if (facts.topics.contains(Topic.POSITIONS)) {
            stream.send("positions", positions.views());
        }
        if (facts.topics.contains(Topic.CLOCK)) {
            stream.send("clock", clockCheck.view());
        }
        if (facts.topics.contains(Topic.STORAGE)) {
            stream.send("storage", storage.state());
        }
        if (facts.topics.contains(Topic.SEARCH)) {
            stream.send("search", searches.view());
        }
        if (facts.topics.contains(Topic.AIR)) {
            stream.send("air", List.of());
        }
        if (!facts.alerts.isEmpty()) {
            stream.send("alerts", facts.alerts);
        }
        if (facts.topics.contains(Topic.PROGRAMS)) {
            stream.send("programs", programs.views());
        }
    }

    private void tellLog(Facts facts) {
        Set<Long> others = new HashSet<>(facts.changed);
        others.removeAll(facts.added);
        int more = Math.max(0, facts.added.size() + others.size() + facts.gone.size() - MAX_LINES);
        stream.send(
                "log",
                more > 0
                        ? new LogNews(List.of(), List.of(), Set.of(), log.size(), more)
                        : new LogNews(log.lines(facts.added), log.lines(others), facts.gone, log.size(), 0));
    }
}
