package yokebar.core.operate.need;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;

/**
 * What was worked before, counted by station, entity, zone, state, square and prefix; a question costs a look into a table,
 * however long the log is. Safe for several threads.
 */
public final class WorkedBefore {
    private final Map<Kind, Map<String, Tally>> tallies = new EnumMap<>(Kind.class);
    private final ProofSets proofSets = new ProofSets();
    private final TreeSet<String> calls = new TreeSet<>();
    /** The calls of stations that were worked under another than the one issued, by that. */
    private final Map<String, Set<String>> otherCalls = new HashMap<>();

    private volatile long version;

    public WorkedBefore() {
        for (Kind kind : Kind.values()) {
            tallies.put(kind, new HashMap<>());
        }
    }

    public synchronized void add(Collection<Facts> facts) {
        facts.forEach(one -> count(one, 1));
        version++;
    }

    /** Takes contacts out that were added before with the very same facts. */
    public synchronized void remove(Collection<Facts> facts) {
        facts.forEach(one -> count(one, -1));
        version++;
    }

    /** Forgets everything, to be told anew. */
    public synchronized void clear() {
        tallies.values().forEach(Map::clear);
        calls.clear();
        otherCalls.clear();
        version++;
    }

    /** Higher after each change, so that whoever remembers an answer knows whether it still holds. */
    public long version() {
        return version;
    }

    /** What was worked of something; nothing when it never was. */
    public synchronized Worked of(Kind kind, String key) {
        Tally tally = of(kind).get(key);
        return tally == null ? Worked.NOTHING : tally.snapshot(proofSets);
    }

    public synchronized boolean has(Kind kind, String key) {
        return of(kind).containsKey(key);
    }

    /** Calls that begin so, in alphabetical order, at most as many as asked for. */
    public synchronized List<String> callsFrom(String start, int most) {
        return calls.tailSet(start).stream()
                .takeWhile(call -> call.startsWith(start))
                .limit(most)
                .toList();
    }

    /** Every call a station was worked under, that it was issued among them whether it was worked or not. */
    public synchronized List<String> callsOf(String base) {
        List<String> all = new ArrayList<>();
        all.add(base);
        all.addAll(otherCalls.getOrDefault(base, Set.of()));
        return all;
    }

    private Map<String, Tally> of(Kind kind) {
        return Objects.requireNonNull(tallies.get(kind));
    }

    private static String base(Facts facts) {
        return String.valueOf(facts.keys().get(Kind.BASE_CALL));
    }

    private void count(Facts facts, int step) {
        facts.keys().forEach((kind, key) -> {
            Map<String, Tally> byKey = of(kind);
            Tally tally = byKey.get(key);
            if (tally == null) {
                tally = new Tally();
                byKey.put(key, tally);
                if (kind == Kind.CALL) {
                    calls.add(key);
                    String base = base(facts);
                    if (!base.equals(key)) {
                        otherCalls.computeIfAbsent(base, b -> new TreeSet<>()).add(key);
                    }
                }
            }
            tally.add(facts.band(), facts.group(), proofSets.indexOf(facts.proofs()), step);
            if (tally.isEmpty()) {
                byKey.remove(key);
                if (kind == Kind.CALL) {
                    calls.remove(key);
                    Set<String> others = otherCalls.get(base(facts));
                    if (others != null && others.remove(key) && others.isEmpty()) {
                        otherCalls.remove(base(facts));
                    }
                }
            }
        });
    }
}
