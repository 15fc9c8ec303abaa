package yokebar.app.operate.net.roster;

import jakarta.persistence.EntityManager;
import jakarta.persistence.FlushModeType;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.line.LineText;
import yokebar.core.operate.net.LikelyStations;

/**
 * The roster of a net. It grows by itself from the check-ins; the operator adds stations, gives names, and takes off those who
 * come no more. Whoever was taken off and checks in again is on it again.
 */
@Service
public class NetRoster {
    private static final int SESSIONS_SHOWN = 12;
    private static final int MAX_SHOWN = 500;
    private static final int MAX_NAME = 80;

    private final EntityManager db;
    private final ApplicationEventPublisher events;
    private final KeptRosters kept = new KeptRosters();

    NetRoster(EntityManager db, ApplicationEventPublisher events) {
        this.db = db;
        this.events = events;
    }

    /**
     * The stations of a net by call, with the number of its sessions they were in.
     *
     * @param except a session that does not count
     */
    @Transactional(readOnly = true)
    public Map<String, LikelyStations.Known> of(long netId, long except) {
        return kept.get(netId, except, () -> read(netId, except));
    }

    private Map<String, LikelyStations.Known> read(long netId, long except) {
        Map<String, LikelyStations.Known> known = new HashMap<>();
        db.createQuery(
                        "select c.callSign, max(c.name), count(distinct c.sessionId) from CheckInRow c, NetSessionRow s"
                                + " where s.id = c.sessionId and s.netId = :net and s.id <> :except and c.callSign is not null"
                                + " group by c.callSign",
                        Object[].class)
                .setParameter("net", netId)
                .setParameter("except", except)
                .getResultStream()
                .map(row -> new LikelyStations.Known((String) row[0], (String) row[1], ((Long) row[2]).intValue()))
                .forEach(one -> known.put(one.call(), one));
        for (MemberRow member : members(netId).values()) {
            LikelyStations.Known seen = known.get(member.callSign);
            if (member.removed) {
                known.remove(member.callSign);
            } else {
                known.put(
                        member.callSign,
                        new LikelyStations.Known(
                                member.callSign,
                                name(member, seen == null ? null : seen.name()),
                                seen == null ? 0 : seen.sessions()));
            }
        }
        return known;
    }

    private Map<String, MemberRow> members(long netId) {
        Map<String, MemberRow> members = new HashMap<>();
        db.createQuery("from MemberRow where netId = :net", MemberRow.class)
                .setParameter("net", netId)
                .getResultStream()
                .forEach(member -> members.put(member.callSign, member));
        return members;
    }

    private static @Nullable String name(@Nullable MemberRow member, @Nullable String seen) {
        return member == null || member.name == null ? seen : member.name;
    }

    /** The name the operator gave a station of a net; null when none. */
    @Transactional(readOnly = true)
    public @Nullable String nameOf(long netId, String call) {
        MemberRow member = member(netId, call);
        return member == null ? null : member.name;
    }

    /** Whoever checks in belongs to the net, even after having been taken off its roster. */
    @Transactional
    public void came(long netId, String call) {
        MemberRow member = member(netId, call);
        if (member != null && member.removed) {
            member.removed = false;
            events.publishEvent(new RosterChanged());
        }
    }

    /** Check-ins of a session were changed, and what is read from now on is to show it. */
    public void checkInsChanged(long sessionId) {
        kept.sessionChanged(sessionId);
    }

    @TransactionalEventListener
    void changed(RosterChanged event) {
        kept.stationChanged();
    }

    private @Nullable MemberRow member(long netId, String call) {
        return db.createQuery("from MemberRow where netId = :net and callSign = :call", MemberRow.class)
                .setParameter("net", netId)
                .setParameter("call", call)
                // Stations are only added one at a time, and before a flush all check-ins of the session would be
                // compared.
                .setFlushMode(FlushModeType.COMMIT)
                .getResultStream()
                .findFirst()
                .orElse(null);
    }

    /** Adds a station to the roster, or gives one that is on it another name. */
    @Transactional
    void put(long netId, MemberDraft draft) {
        MemberRow member = kept(netId, draft.call() == null ? "" : draft.call());
        String name = draft.name() == null ? "" : draft.name().strip();
        if (name.length() > MAX_NAME) {
            throw new Rejection("name", "A name has at most " + MAX_NAME + " characters.");
        }
        member.name = name.isEmpty() ? null : name;
        member.removed = false;
        events.publishEvent(new RosterChanged());
    }

    /** Takes a station off the roster. Its check-ins stay, and the next one brings it back. */
    @Transactional
    void remove(long netId, String call) {
        kept(netId, call).removed = true;
        events.publishEvent(new RosterChanged());
    }

    private MemberRow kept(long netId, String typed) {
        nameOfNet(netId);
        Call call = LineText.wholeCall(typed);
        if (call == null) {
            throw new Rejection("call", "\"" + typed + "\" is not a whole call.");
        }
        MemberRow member = member(netId, call.text());
        if (member == null) {
            member = new MemberRow();
            member.netId = netId;
            member.callSign = call.text();
            db.persist(member);
        }
        return member;
    }

    private String nameOfNet(long netId) {
        return db.createQuery("select name from NetRow where id = :net", String.class)
                .setParameter("net", netId)
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> Rejection.notThere("There is no net " + netId + "."));
    }

    /** The roster, and who came to the latest sessions. */
    @Transactional(readOnly = true)
    public RosterView view(long netId) {
        String net = nameOfNet(netId);
        List<RosterView.AttendedSession> sessions = sessions(netId);
        List<Long> ids = sessions.stream().map(RosterView.AttendedSession::id).toList();
        Map<String, Attendance> byCall = new HashMap<>();
        db.createQuery(
                        "select c.callSign, c.sessionId, c.name from CheckInRow c"
                                + " where c.sessionId in :ids and c.callSign is not null order by c.id",
                        Object[].class)
                .setParameter("ids", ids)
                .getResultStream()
                .forEach(row -> byCall.computeIfAbsent((String) row[0], call -> new Attendance())
                        .came((Long) row[1], (String) row[2]));
        Map<String, MemberRow> members = members(netId);
        members.keySet().forEach(call -> byCall.computeIfAbsent(call, one -> new Attendance()));
        List<RosterView.Member> stations = byCall.entrySet().stream()
                .filter(one -> members.get(one.getKey()) == null || !members.get(one.getKey()).removed)
                .map(one -> one.getValue().of(one.getKey(), members.get(one.getKey()), ids))
                .sorted(Comparator.comparing(RosterView.Member::times, Comparator.reverseOrder())
                        .thenComparing(RosterView.Member::call))
                .limit(MAX_SHOWN)
                .toList();
        return new RosterView(net, sessions, stations);
    }

    private List<RosterView.AttendedSession> sessions(long netId) {
        return db.createQuery(
                        "select s.id, s.startedAt from NetSessionRow s where s.netId = :net"
                                + " order by s.startedAt desc, s.id desc",
                        Object[].class)
                .setParameter("net", netId)
                .setMaxResults(SESSIONS_SHOWN)
                .getResultStream()
                .map(row -> new RosterView.AttendedSession((Long) row[0], (Instant) row[1]))
                .toList();
    }

    /** To which sessions a station came, and the name it had last. */
    private static final class Attendance {
        private final Set<Long> sessionIds = new HashSet<>();
        private @Nullable String lastName;

        void came(long sessionId, @Nullable String name) {
            sessionIds.add(sessionId);
            lastName = name == null ? lastName : name;
        }

        RosterView.Member of(String call, @Nullable MemberRow member, List<Long> ids) {
            return new RosterView.Member(
                    call,
                    name(member, lastName),
                    ids.stream().map(sessionIds::contains).toList(),
                    sessionIds.size());
        }
    }
}
