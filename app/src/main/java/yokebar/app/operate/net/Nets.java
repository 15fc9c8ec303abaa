package yokebar.app.operate.net;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.WrittenFrequency;
import yokebar.core.basics.mode.Modes;

/** The nets as they are set up. */
@Service
class Nets {
    private static final int MAX_NAME = 60;
    private static final int MAX_TIMES = 120;
    private static final int LONGEST_UNIDENTIFIED_MINUTES = 60;
    private static final int SESSIONS_SHOWN = 12;

    private final EntityManager db;

    Nets(EntityManager db) {
        this.db = db;
    }

    @Transactional(readOnly = true)
    List<NetView> views() {
        return db.createQuery("from NetRow order by name", NetRow.class)
                .getResultStream()
                .map(this::view)
                .toList();
    }

    private List<NetView.NetSessionView> sessions(long netId) {
        return db.createQuery(
                        "select s.id, s.startedAt, s.endedAt, (select count(*) from CheckInRow c where c.sessionId = s.id)"
                                + " from NetSessionRow s where s.netId = :net order by s.startedAt desc, s.id desc",
                        Object[].class)
                .setParameter("net", netId)
                .setMaxResults(SESSIONS_SHOWN)
                .getResultStream()
                .map(row -> new NetView.NetSessionView(
                        (Long) row[0], (Instant) row[1], (Instant) row[2], ((Long) row[3]).intValue()))
                .toList();
    }

    private NetView view(NetRow net) {
        return new NetView(
                net.number(),
                net.name,
                net.usualTimes == null ? "" : net.usualTimes,
                net.frequencyHz,
                net.mode,
                net.travels,
                net.netControl,
                net.logs,
                net.identifyMinutes,
                sessions(net.number()));
    }

    /** @param id null for a new net */
    @Transactional
    void save(@Nullable Long id, NetDraft draft) {
        NetRow net = id == null ? new NetRow() : find(id);
        net.name = name(id, draft.name());
        net.usualTimes = shortText("usualTimes", draft.usualTimes(), MAX_TIMES);
        net.frequencyHz = frequency(draft.frequency());
        net.mode = mode(draft.mode());
        net.travels = draft.travels();
        net.netControl = draft.netControl();
        net.logs = draft.logs();
        if (draft.identifyMinutes() < 1 || draft.identifyMinutes() > LONGEST_UNIDENTIFIED_MINUTES) {
            throw new Rejection(
                    "identifyMinutes",
                    "The reminder of your call comes after 1 to " + LONGEST_UNIDENTIFIED_MINUTES + " minutes.");
        }
        net.identifyMinutes = draft.identifyMinutes();
        db.persist(net);
    }

    /** Removes a net; its sessions stay, and so do their contacts. */
    @Transactional
    void remove(long id) {
        NetRow net = find(id);
        long running = db.createQuery(
                        "select count(*) from NetSessionRow where netId = :net and endedAt is null", Long.class)
                .setParameter("net", id)
                .getSingleResult();
        if (running > 0) {
            throw new Rejection("id", "A session of " + net.name + " is running. Close it first.");
        }
        db.createQuery("update NetSessionRow set netId = null where netId = :net")
                .setParameter("net", id)
                .executeUpdate();
        db.remove(net);
    }

    NetRow find(long id) {
        NetRow net = db.find(NetRow.class, id);
        if (net == null) {
            throw Rejection.notThere("There is no net " + id + ".");
        }
        return net;
    }

    private String name(@Nullable Long id, @Nullable String typed) {
        String name = typed == null ? "" : typed.strip();
        if (name.isEmpty() || name.length() > MAX_NAME) {
            throw new Rejection("name", "A net has a name of at most " + MAX_NAME + " characters.");
        }
        boolean taken = db.createQuery("from NetRow", NetRow.class)
                .getResultStream()
                .anyMatch(net -> !Long.valueOf(net.number()).equals(id) && net.name.equalsIgnoreCase(name));
        if (taken) {
            throw new Rejection("name", "There is a net called " + name + " already.");
        }
        return name;
    }

    private static @Nullable Long frequency(@Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        Long hz = WrittenFrequency.read(typed.strip());
        if (hz == null || Band.of(hz) == null) {
            throw new Rejection(
                    "frequency", "\"" + typed + "\" is not on an amateur band. Write it as 145.700 or 7.085.");
        }
        return hz;
    }

    private static @Nullable String mode(@Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        String mode = typed.strip().toUpperCase(Locale.ROOT);
        if (Modes.read(mode, null) == null) {
            throw new Rejection("mode", "\"" + typed + "\" is not a mode. Write it as FM or SSB.");
        }
        return mode;
    }

    static @Nullable String shortText(String field, @Nullable String typed, int max) {
        String text = typed == null ? "" : typed.strip();
        if (text.length() > max) {
            throw new Rejection(field, "This has more than " + max + " characters.");
        }
        return text.isEmpty() ? null : text;
    }
}
