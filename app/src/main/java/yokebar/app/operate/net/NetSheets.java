package yokebar.app.operate.net;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.log.search.LogSearch;
import yokebar.app.log.store.ContactLog;
import yokebar.app.operate.net.mark.MarkWordsView;
import yokebar.app.operate.net.mark.NetWords;
import yokebar.app.operate.net.roster.NetRoster;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.net.LikelyStations;
import yokebar.core.operate.net.Turns;

/** Net sheets as they are shown. */
@Service
class NetSheets {
    /** Whoever was in so many of the earlier sessions is missed. */
    private static final int REGULAR_FROM = 2;

    private static final int MAX_MISSING = 40;

    private final EntityManager db;
    private final NetRoster roster;
    private final NetWords words;
    private final NetChannel channel;
    private final LogSearch search;
    private final ContactLog log;

    NetSheets(
            EntityManager db, NetRoster roster, NetWords words, NetChannel channel, LogSearch search, ContactLog log) {
        this.db = db;
        this.roster = roster;
        this.words = words;
        this.channel = channel;
        this.search = search;
        this.log = log;
    }

    /** The sheets of the sessions that run, the latest first. */
    @Transactional(readOnly = true)
    public List<SheetView> running() {
        return db.createQuery("from NetSessionRow where endedAt is null order by startedAt desc", NetSessionRow.class)
                .getResultStream()
                .map(this::view)
                .toList();
    }

    @Transactional(readOnly = true)
    public SheetView sheet(long sessionId) {
        return view(session(sessionId));
    }

    NetSessionRow session(long id) {
        NetSessionRow session = db.find(NetSessionRow.class, id);
        if (session == null) {
            throw Rejection.notThere("There is no net session " + id + ".");
        }
        return session;
    }

    /** The session, which nobody else changes until the transaction ends, nor any of its check-ins. */
    NetSessionRow locked(long id) {
        NetSessionRow session = session(id);
        db.refresh(session, LockModeType.PESSIMISTIC_WRITE);
        return session;
    }

    /** The check-ins of a session in the order of its list. */
    List<CheckInRow> checkIns(long sessionId) {
        return db.createQuery("from CheckInRow where sessionId = :session order by listOrder, id", CheckInRow.class)
                .setParameter("session", sessionId)
                .getResultList();
    }

    /** The calls of a session, and the parts of calls, as its list shows them. */
    Set<String> callsOn(long sessionId) {
        return Set.copyOf(db.createQuery(
                        "select coalesce(callSign, heard) from CheckInRow where sessionId = :session", String.class)
                .setParameter("session", sessionId)
                .getResultList());
    }

    @TransactionalEventListener(fallbackExecution = true)
    void changed(NetSheetChanged event) {
        roster.checkInsChanged(event.sessionId());
    }

    /** Those that become contacts: in a net that another station leads only those who were worked. */
    List<CheckInRow> worked(NetSessionRow session) {
        return checkIns(session.number()).stream()
                .filter(row -> session.netControl || row.worked)
                .toList();
    }

    /** Which of the contacts of check-ins are in the log. */
    Set<Long> logged(List<CheckInRow> rows) {
        return log.find(rows.stream()
                        .map(row -> row.contactId)
                        .filter(Objects::nonNull)
                        .toList())
                .keySet();
    }

    private SheetView view(NetSessionRow session) {
        List<CheckInRow> rows = checkIns(session.number());
        Map<String, LikelyStations.Known> members =
                session.netId == null ? Map.of() : roster.of(session.netId, session.number());
        Set<Long> inLog = logged(rows);
        NetChannel.At at = channel.of(session);
        WorkedBefore before = search.workedBefore();
        List<SheetView.CheckInView> checkIns = rows.stream()
                .map(row -> view(row, session.round, members, before, inLog))
                .toList();
        return new SheetView(
                session.number(),
                session.netId,
                session.netName,
                session.netControl,
                session.logs,
                session.ownCall,
                session.startedAt,
                session.endedAt,
                at.frequencyHz(),
                at.fromRadio(),
                at.mode(),
                at.way(),
                session.round,
                session.turnId,
                next(session, rows),
                session.identifiedAt,
                session.identifyMinutes,
                session.changeId,
                MarkWordsView.of(words.now()),
                checkIns,
                missing(rows, members));
    }

    /** The check-in whose turn comes after the present one; null when all have spoken in this round. */
    static @Nullable Long next(NetSessionRow session, List<CheckInRow> rows) {
        return Turns.waiting(rows.stream().map(CheckInRow::place).toList(), session.round).stream()
                .map(Turns.Place::id)
                .filter(id -> !id.equals(session.turnId))
                .findFirst()
                .orElse(null);
    }

    private static List<String> missing(List<CheckInRow> rows, Map<String, LikelyStations.Known> roster) {
        Set<String> here = new HashSet<>();
        rows.forEach(row -> here.add(row.shown()));
        return roster.values().stream()
                .filter(known -> known.sessions() >= REGULAR_FROM && !here.contains(known.call()))
                .map(LikelyStations.Known::call)
                .sorted()
                .limit(MAX_MISSING)
                .toList();
    }

    private static SheetView.CheckInView view(
            CheckInRow row, int round, Map<String, LikelyStations.Known> roster, WorkedBefore before, Set<Long> inLog) {
        LikelyStations.Known known = roster.get(row.shown());
        Call call = row.call();
        return new SheetView.CheckInView(
                row.number(),
                row.heard,
                row.callSign,
                row.name,
                row.place,
                row.via,
                row.marks(),
                row.rstSent,
                row.rstRcvd,
                row.note,
                row.at,
                row.spokenRound >= round,
                row.skippedRound == round,
                known == null ? 0 : known.sessions(),
                row.worked,
                call == null
                        ? 0
                        : before.of(CreditKind.BASE_CALL.key(CallParts.of(call).base()))
                                .contacts(),
                inLog.contains(row.contactId) ? row.contactId : null);
    }
}
