package yokebar.app.operate.net.roster;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import yokebar.core.operate.net.LikelyStations;

/**
 * The rosters that were read last. A net sheet needs the same one with every key, and it changes only with its own stations or
 * with another session of its net. Thread-safe.
 */
final class KeptRosters {
    private static final int MAX_KEPT = 8;

    private final Map<RosterOf, Map<String, LikelyStations.Known>> kept = new HashMap<>();
    private long changes;

    /** @param except the session that does not count */
    private record RosterOf(long netId, long except) {}

    Map<String, LikelyStations.Known> get(
            long netId, long except, Supplier<Map<String, LikelyStations.Known>> reading) {
        RosterOf which = new RosterOf(netId, except);
        long before;
        synchronized (this) {
            Map<String, LikelyStations.Known> known = kept.get(which);
            if (known != null) {
                return known;
            }
            before = changes;
        }
        Map<String, LikelyStations.Known> read = Map.copyOf(reading.get());
        synchronized (this) {
            // What changed while it was read may be missing from it.
            if (before == changes) {
                if (kept.size() == MAX_KEPT) {
                    kept.clear();
                }
                kept.put(which, read);
            }
        }
        return read;
    }

    /** Check-ins of a session changed. */
    synchronized void sessionChanged(long sessionId) {
        changes++;
        kept.keySet().removeIf(which -> which.except() != sessionId);
    }

    /** A station was added, named or taken off. */
    synchronized void stationChanged() {
        changes++;
        kept.clear();
    }
}
