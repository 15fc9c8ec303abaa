package yokebar.core.need;

import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * What was worked before, counted by station, entity, zone, state, square and prefix; a question costs a look into a table,
 * however long the log is. Safe for several threads.
 */
public final class WorkedBefore {
    private final Map<Kind, Map<String, Tally>> tallies = new EnumMap<>(Kind.class);
    private final TreeSet<String> calls = new TreeSet<>();

    public WorkedBefore() {
        for (Kind kind : Kind.values()) {
            tallies.put(kind, new HashMap<>());
        }
    }

    public synchronized void add(Collection<Facts> facts) {
        facts.forEach(one -> count(one, 1));
    }

    /** Takes contacts out that were added before with the very same facts. */
    public synchronized void remove(Collection<Facts> facts) {
        facts.forEach(one -> count(one, -1));
    }

    /** Forgets everything, to be told anew. */
    public synchronized void clear() {
        tallies.values().forEach(Map::clear);
        calls.clear();
    }

    /** What was worked of something; nothing when it never was. */
    public synchronized Worked of(Kind kind, String key) {
        Tally tally = tallies.get(kind).get(key);
        return tally == null ? Worked.NOTHING : tally.snapshot();
    }

    public synchronized boolean has(Kind kind, String key) {
        return tallies.get(kind).containsKey(key);
    }

    /** Calls that begin so, in alphabetical order, at most as many as asked for. */
    public synchronized List<String> callsFrom(String start, int most) {
        return calls.tailSet(start).stream()
                .takeWhile(call -> call.startsWith(start))
                .limit(most)
                .toList();
    }

    private void count(Facts facts, int step) {
        facts.keys().forEach((kind, key) -> {
            Map<String, Tally> byKey = tallies.get(kind);
            Tally tally = byKey.get(key);
            if (tally == null) {
                tally = new Tally();
                byKey.put(key, tally);
                if (kind == Kind.CALL) {
                    calls.add(key);
                }
            }
            tally.add(facts.band(), facts.group(), step, facts.confirmed() ? step : 0);
            if (tally.isEmpty()) {
                byKey.remove(key);
                if (kind == Kind.CALL) {
                    calls.remove(key);
                }
            }
        });
    }
}
