package yokebar.core.log.tally;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The different sets of provers there are, numbered: many thousand tallies hold one of a few. Not for several threads. */
final class ProofSets {
    /** More than services in any combination a log has. */
    static final int MAX = 1 << 16;

    private final List<Proofs> sets = new ArrayList<>();
    private final Map<Proofs, Integer> indexes = new HashMap<>();

    /** @throws IllegalStateException when there are 65 536 different sets already */
    int indexOf(Proofs proofs) {
        Integer index = indexes.get(proofs);
        if (index == null) {
            index = sets.size();
            if (index == MAX) {
                throw new IllegalStateException("there are too many combinations of services that prove contacts");
            }
            sets.add(proofs);
            indexes.put(proofs, index);
        }
        return index;
    }

    Proofs get(int index) {
        return sets.get(index);
    }
}
