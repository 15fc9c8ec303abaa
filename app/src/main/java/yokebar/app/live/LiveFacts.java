package yokebar.app.live;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.delivery.LaneChanged;
import yokebar.app.delivery.SealsChanged;
import yokebar.app.hookup.Hookup;
import yokebar.app.hookup.HookupChanged;
import yokebar.app.hookup.HookupView;
import yokebar.app.hookup.Hookups;
import yokebar.app.log.ContactChanged;
import yokebar.app.log.ContactLog;
import yokebar.app.log.ContactsLogged;
import yokebar.app.log.LogLine;
import yokebar.app.radio.RadioMoved;
import yokebar.app.radio.Radios;
import yokebar.app.radio.RadiosChanged;
import yokebar.app.rotor.RotorTurned;
import yokebar.app.rotor.Rotors;
import yokebar.app.station.StationChanged;
import yokebar.core.contact.LoggedContact;

/**
 * Turns what happened into messages for the pages. Facts are gathered for a few hundredths of a second and told together,
 * so that a burst of a thousand contacts is a handful of messages; what is told is read afresh, after its transaction.
 */
@Component
class LiveFacts {
    private static final long TELL_EVERY_MS = 40;
    /** With more changed at once than a page shows, it is quicker to load the page afresh. */
    private static final int MOST_LINES = 200;

    private final LiveStream stream;
    private final ContactLog log;
    private final Hookups hookups;
    private final Radios radios;
    private final Rotors rotors;
    private final Set<Long> added = new HashSet<>();
    private final Set<Long> changed = new HashSet<>();
    private final Set<String> changedHookups = new HashSet<>();
    private final Set<Integer> changedLanes = new HashSet<>();
    private final Set<Long> movedRadios = new HashSet<>();
    private final Set<Long> turnedRotors = new HashSet<>();
    private boolean stationChanged;
    private boolean radioSetChanged;

    LiveFacts(LiveStream stream, ContactLog log, Hookups hookups, Radios radios, Rotors rotors) {
        this.stream = stream;
        this.log = log;
        this.hookups = hookups;
        this.radios = radios;
        this.rotors = rotors;
    }

    /**
     * Lines of the log that are new or different.
     *
     * @param total contacts in the whole log
     * @param more how many more there are than are told here; the page loads afresh then
     */
    record LogNews(List<LogLine> added, List<LogLine> changed, long total, int more) {}

    /** A coupling that was taken down for good. */
    record Gone(String id) {}

    /** A lane to be read again. */
    record LaneNews(Set<Integer> services) {}

    @TransactionalEventListener
    synchronized void logged(ContactsLogged event) {
        event.contacts().stream().map(LoggedContact::id).forEach(added::add);
    }

    @TransactionalEventListener
    synchronized void changed(ContactChanged event) {
        changed.add(event.after().id());
    }

    @TransactionalEventListener(fallbackExecution = true)
    synchronized void seals(SealsChanged event) {
        changed.addAll(event.contactIds());
    }

    @TransactionalEventListener(fallbackExecution = true)
    synchronized void lane(LaneChanged event) {
        changedLanes.add(event.serviceId());
    }

    @EventListener
    synchronized void hookup(HookupChanged event) {
        changedHookups.add(event.id());
    }

    @TransactionalEventListener(fallbackExecution = true)
    synchronized void station(StationChanged event) {
        stationChanged = true;
    }

    @EventListener
    synchronized void radio(RadioMoved event) {
        movedRadios.add(event.radioId());
    }

    @EventListener
    synchronized void radios(RadiosChanged event) {
        radioSetChanged = true;
    }

    @EventListener
    synchronized void rotor(RotorTurned event) {
        turnedRotors.add(event.rotorId());
    }

    private record Facts(
            Set<Long> added,
            Set<Long> changed,
            Set<String> hookups,
            Set<Integer> lanes,
            Set<Long> radios,
            boolean radioSet,
            Set<Long> rotors,
            boolean station) {}

    private synchronized Facts takeFacts() {
        Facts facts = new Facts(
                Set.copyOf(added),
                Set.copyOf(changed),
                Set.copyOf(changedHookups),
                Set.copyOf(changedLanes),
                Set.copyOf(movedRadios),
                radioSetChanged,
                Set.copyOf(turnedRotors),
                stationChanged);
        added.clear();
        changed.clear();
        changedHookups.clear();
        changedLanes.clear();
        movedRadios.clear();
        radioSetChanged = false;
        turnedRotors.clear();
        stationChanged = false;
        return facts;
    }

    @Scheduled(fixedDelay = TELL_EVERY_MS)
    void tell() {
        Facts facts = takeFacts();
        if (!facts.added().isEmpty() || !facts.changed().isEmpty()) {
            Set<Long> others = new HashSet<>(facts.changed());
            others.removeAll(facts.added());
            int more = Math.max(0, facts.added().size() + others.size() - MOST_LINES);
            stream.send(
                    "log",
                    more > 0
                            ? new LogNews(List.of(), List.of(), log.size(), more)
                            : new LogNews(log.lines(facts.added()), log.lines(others), log.size(), 0));
        }
        for (String id : facts.hookups()) {
            Optional<Hookup> hookup = hookups.find(id);
            if (hookup.isPresent()) {
                stream.send("hookup", HookupView.of(hookup.get()));
            } else {
                stream.send("hookup-gone", new Gone(id));
            }
        }
        tellDevices(facts);
        if (!facts.lanes().isEmpty() || !facts.added().isEmpty()) {
            stream.send("lanes", new LaneNews(facts.lanes()));
        }
        if (facts.station()) {
            stream.send("station", List.of());
        }
    }

    /** Devices report many times a second; with no page open that is not worth putting into words. */
    private void tellDevices(Facts facts) {
        boolean some =
                facts.radioSet() || !facts.radios().isEmpty() || !facts.rotors().isEmpty();
        if (some && !stream.hasPages()) {
            stream.skip();
            return;
        }
        if (facts.radioSet()) {
            stream.send("radios", radios.views());
        } else {
            facts.radios().forEach(id -> radios.view(id).ifPresent(radio -> stream.send("radio", radio)));
        }
        if (!facts.rotors().isEmpty()) {
            stream.send("rotors", rotors.views());
        }
    }
}
