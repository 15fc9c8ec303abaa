package yokebar.core.log.tally;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * How often each thing of some kinds was worked, and how far it is proven, by the contacts of a scope. A question costs a look into
 * a table, however long the log is. Not for several threads.
 */
public final class Tally {
    private final Scope scope;
    private final Map<CreditKind, Map<String, CellCounts>> counts = new EnumMap<>(CreditKind.class);
    private final ProofSets proofSets = new ProofSets();

    /** @param kinds what is counted; of others nothing is known */
    public Tally(Scope scope, Set<CreditKind> kinds) {
        this.scope = scope;
        kinds.forEach(kind -> counts.put(kind, new HashMap<>()));
    }

    public Scope scope() {
        return scope;
    }

    public Set<CreditKind> kinds() {
        return counts.keySet();
    }

    /** Counts a contact, if it is in the scope. */
    public void add(ContactCredits credits) {
        count(credits, 1);
    }

    /** Takes out a contact that was added before with the very same credits. */
    public void remove(ContactCredits credits) {
        count(credits, -1);
    }

    public void clear() {
        counts.values().forEach(Map::clear);
    }

    /** What was worked of something; nothing when it never was. */
    public Worked of(CreditKey key) {
        CellCounts cells = counts.getOrDefault(key.kind(), Map.of()).get(key.value());
        return cells == null ? Worked.NOTHING : cells.snapshot(proofSets);
    }

    public boolean has(CreditKey key) {
        return counts.getOrDefault(key.kind(), Map.of()).containsKey(key.value());
    }

    private void count(ContactCredits credits, int step) {
        if (!scope.covers(credits.origin()) || !scope.covers(credits.band(), credits.group())) {
            return;
        }
        int proofs = proofSets.indexOf(credits.proofs());
        for (CreditKey key : credits.keys()) {
            Map<String, CellCounts> ofKind = counts.get(key.kind());
            if (ofKind != null) {
                CellCounts cells = ofKind.computeIfAbsent(key.value(), value -> new CellCounts());
                cells.add(credits.band(), credits.group(), proofs, step);
                if (cells.isEmpty()) {
                    ofKind.remove(key.value());
                }
            }
        }
    }
}
