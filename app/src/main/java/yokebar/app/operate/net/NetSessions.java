package yokebar.app.operate.net;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.operate.net.mark.NetWords;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.station.position.Positions;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.net.NetEntry;

/** Sessions of nets: starting them, taking check-ins, giving turns. Each request is stored before it is answered. */
@Service
class NetSessions {
    private static final int MAX_CHECK_INS = 1000;

    private final EntityManager db;
    private final Nets nets;
    private final NetSheets sheets;
    private final NetWords words;
    private final NetChannel channel;
    private final CheckInEditing editing;
    private final Positions positions;
    private final Clock clock;
    private final ApplicationEventPublisher events;

    NetSessions(
            EntityManager db,
            Nets nets,
            NetSheets sheets,
            NetWords words,
            NetChannel channel,
            CheckInEditing editing,
            Positions positions,
            Clock clock,
            ApplicationEventPublisher events) {
        this.db = db;
        this.nets = nets;
        this.sheets = sheets;
        this.words = words;
        this.channel = channel;
        this.editing = editing;
        this.positions = positions;
        this.clock = clock;
        this.events = events;
    }

    /**
     * Starts a session, or goes on with the one of that net that runs already.
     *
     * @return its id
     */
    @Transactional
    public long start(long netId, @Nullable Long positionId) {
        NetRow net = nets.find(netId);
        // Two browsers that start it at the same moment share one session.
        db.refresh(net, LockModeType.PESSIMISTIC_WRITE);
        Optional<Long> running = runningOf(netId);
        if (running.isPresent()) {
            return running.get();
        }
        NetSessionRow session = new NetSessionRow();
        session.netId = netId;
        session.netName = net.name;
        session.netControl = net.netControl;
        session.logs = net.logs;
        session.positionId = positionId;
        Call ownCall = positions.settingAt(positionId).ownCall();
        session.ownCall = ownCall == null ? null : ownCall.text();
        session.startedAt = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        session.frequencyHz = net.frequencyHz;
        session.mode = net.mode;
        session.travels = net.travels;
        session.identifyMinutes = net.identifyMinutes;
        session.identifiedAt = session.startedAt;
        db.persist(session);
        db.flush();
        changed(session.number());
        return session.number();
    }

    private Optional<Long> runningOf(long netId) {
        return db.createQuery("select id from NetSessionRow where netId = :net and endedAt is null", Long.class)
                .setParameter("net", netId)
                .getResultStream()
                .findFirst();
    }

    /**
     * Takes a line of the net sheet: its stations check in, or, when it names none, it is about the chosen check-in.
     *
     * @param key made up by the page for this line; a line with a key that was taken already changes nothing
     * @param chosenId the check-in that a line without stations is about; null for the one whose turn it is
     * @return what the operator should know of it, in sentences
     */
    @Transactional
    public List<String> enter(long sessionId, String text, String key, @Nullable Long chosenId) {
        NetSessionRow session = running(sessionId);
        List<CheckInRow> rows = sheets.checkIns(sessionId);
        if (rows.stream().anyMatch(row -> key.equals(row.entryKey))) {
            return List.of();
        }
        NetEntry entry = NetEntry.read(text, words.now());
        if (!entry.problems().isEmpty()) {
            throw new Rejection("text", String.join(" ", entry.problems()));
        }
        if (entry.stations().isEmpty()) {
            Long about = chosenId == null ? session.turnId : chosenId;
            if (about == null) {
                throw new Rejection("text", "Type a call, or choose the station this is about first.");
            }
            CheckInRow row = editing.find(sessionId, about);
            if (!key.equals(row.noteKey)) {
                row.noteKey = key;
                editing.note(row, entry);
            }
        }
        List<String> notices = new ArrayList<>();
        for (NetEntry.Heard heard : entry.stations()) {
            add(session, rows, heard, entry, key).ifPresent(notices::add);
        }
        changed(sessionId);
        return notices;
    }

    private Optional<String> add(
            NetSessionRow session, List<CheckInRow> rows, NetEntry.Heard heard, NetEntry entry, String key) {
        Call call = heard.call();
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i).shown().equals(call == null ? heard.text() : call.text())) {
                return Optional.of(heard.text() + " has checked in already, as number " + (i + 1) + ".");
            }
        }
        if (rows.size() >= MAX_CHECK_INS) {
            throw new Rejection("text", "A session takes at most " + MAX_CHECK_INS + " check-ins.");
        }
        NetChannel.At at = channel.of(session);
        CheckInRow row = new CheckInRow();
        row.sessionId = session.number();
        row.listOrder = rows.isEmpty() ? 1 : rows.get(rows.size() - 1).listOrder + 1;
        row.heard = heard.text();
        row.callSign = call == null ? null : call.text();
        row.at = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        row.frequencyHz = at.frequencyHz();
        row.mode = at.mode();
        row.powerW = at.powerW();
        row.entryKey = key;
        editing.note(row, entry);
        db.persist(row);
        rows.add(row);
        editing.identify(session, row);
        return call != null
                ? Optional.empty()
                : Optional.of(heard.text() + " is only a part of a call; complete it before the session is closed.");
    }

    /** What can be done with the list by one key. */
    enum SheetAction {
        /** The present turn is over, and the next station has its turn. */
        NEXT_TURN,
        /** The chosen station has its turn now; whoever had it keeps it for later. */
        GIVE_TURN,
        /** The chosen station, or the next one, is passed over and comes after the others. */
        SKIP_TURN,
        /** The chosen station moves up by one on the list. */
        MOVE_UP,
        /** In a net that another station leads: there was a contact with the chosen station, or there was none after all. */
        TOGGLE_WORKED
    }

    /** @param checkInId the chosen station; null for the one that is next */
    @Transactional
    public void act(long sessionId, SheetAction action, @Nullable Long checkInId) {
        NetSessionRow session = running(sessionId);
        List<CheckInRow> rows = sheets.checkIns(sessionId);
        switch (action) {
            case NEXT_TURN -> {
                present(session, rows).ifPresent(row -> row.spokenRound = session.round);
                session.turnId = NetSheets.next(session, rows);
                if (session.turnId == null && !rows.isEmpty()) {
                    session.round++;
                }
            }
            case GIVE_TURN -> {
                CheckInRow chosen = editing.find(sessionId, required(checkInId));
                chosen.spokenRound = Math.min(chosen.spokenRound, session.round - 1);
                session.turnId = chosen.number();
            }
            case SKIP_TURN -> {
                Long id = checkInId != null
                        ? checkInId
                        : session.turnId != null ? session.turnId : NetSheets.next(session, rows);
                CheckInRow chosen = editing.find(sessionId, required(id));
                chosen.skippedRound = session.round;
                if (Objects.equals(session.turnId, chosen.number())) {
                    session.turnId = NetSheets.next(session, rows);
                }
            }
            case MOVE_UP -> moveUp(rows, editing.find(sessionId, required(checkInId)));
            case TOGGLE_WORKED -> {
                CheckInRow chosen = editing.find(sessionId, required(checkInId));
                chosen.worked = !chosen.worked;
            }
        }
        changed(sessionId);
    }

    private static Optional<CheckInRow> present(NetSessionRow session, List<CheckInRow> rows) {
        return rows.stream()
                .filter(row -> Objects.equals(row.number(), session.turnId))
                .findFirst();
    }

    private static void moveUp(List<CheckInRow> rows, CheckInRow chosen) {
        int at = rows.indexOf(chosen);
        if (at > 0) {
            CheckInRow above = rows.get(at - 1);
            int order = above.listOrder;
            above.listOrder = chosen.listOrder;
            chosen.listOrder = order;
        }
    }

    private static long required(@Nullable Long checkInId) {
        if (checkInId == null) {
            throw new Rejection("checkInId", "Choose a station first.");
        }
        return checkInId;
    }

    /** The own call was given on the air now. */
    @Transactional
    public void identified(long sessionId) {
        running(sessionId).identifiedAt = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        changed(sessionId);
    }

    @Transactional
    public void change(long sessionId, long checkInId, CheckInDraft draft) {
        NetSessionRow session = sheets.locked(sessionId);
        editing.change(session, sheets.checkIns(sessionId), editing.find(sessionId, checkInId), draft);
        changed(sessionId);
    }

    /** Takes a check-in off the list of a session that runs. */
    @Transactional
    public void remove(long sessionId, long checkInId) {
        NetSessionRow session = running(sessionId);
        CheckInRow row = editing.find(sessionId, checkInId);
        if (Objects.equals(session.turnId, checkInId)) {
            session.turnId = null;
        }
        db.remove(row);
        changed(sessionId);
    }

    /** Goes on with a session that was closed; what was logged stays logged. */
    @Transactional
    public void reopen(long sessionId) {
        NetSessionRow session = sheets.locked(sessionId);
        if (session.netId != null && runningOf(session.netId).isPresent()) {
            throw Rejection.changedMeanwhile(
                    "A session of " + session.netName + " is running. Close it before you reopen another.");
        }
        session.endedAt = null;
        // What is logged at the next close is a change of its own.
        session.changeId = null;
        changed(sessionId);
    }

    /** The session, which nobody else changes until the transaction ends: a station checks in once, from any browser. */
    private NetSessionRow running(long sessionId) {
        NetSessionRow session = sheets.locked(sessionId);
        if (!session.runs()) {
            throw Rejection.changedMeanwhile("This session of " + session.netName + " is closed. Reopen it to go on.");
        }
        return session;
    }

    private void changed(long sessionId) {
        events.publishEvent(new NetSheetChanged(sessionId));
    }
}
