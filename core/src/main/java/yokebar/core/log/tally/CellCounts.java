package yokebar.core.log.tally;

import java.util.Arrays;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;

/**
 * How many contacts of one station, entity or the like there are by band, mode group and who proved them. Most hold one or two
 * of the many thousand cells, so only those with contacts are kept, sorted.
 */
final class CellCounts {
    private static final ModeGroup[] GROUP = ModeGroup.values();
    private static final int GROUPS = GROUP.length;
    private static final Band[] BANDS = Band.values();
    private static final int[] NO_CELLS = {};
    private static final int[] NO_COUNTS = {};

    private int[] cells = NO_CELLS;
    private int[] contacts = NO_COUNTS;

    /** @param proofs as the collection numbers them */
    void add(Band band, ModeGroup group, int proofs, int count) {
        int cell = (band.ordinal() * GROUPS + group.ordinal()) * ProofSets.MAX + proofs;
        int place = Arrays.binarySearch(cells, cell);
        if (place < 0) {
            place = -place - 1;
            insert(place, cell);
        }
        contacts[place] += count;
        if (contacts[place] == 0) {
            drop(place);
        }
    }

    boolean isEmpty() {
        return cells.length == 0;
    }

    Worked snapshot(ProofSets sets) {
        Worked.Builder result = new Worked.Builder();
        for (int i = 0; i < cells.length; i++) {
            Proofs proofs = sets.get(cells[i] % ProofSets.MAX);
            int place = cells[i] / ProofSets.MAX;
            result.add(BANDS[place / GROUPS], GROUP[place % GROUPS], proofs, contacts[i]);
        }
        return result.build();
    }

    private void insert(int place, int cell) {
        int size = cells.length;
        cells = Arrays.copyOf(cells, size + 1);
        contacts = Arrays.copyOf(contacts, size + 1);
        System.arraycopy(cells, place, cells, place + 1, size - place);
        System.arraycopy(contacts, place, contacts, place + 1, size - place);
        cells[place] = cell;
        contacts[place] = 0;
    }

    private void drop(int place) {
        int last = cells.length - 1;
        System.arraycopy(cells, place + 1, cells, place, last - place);
        System.arraycopy(contacts, place + 1, contacts, place, last - place);
        cells = Arrays.copyOf(cells, last);
        contacts = Arrays.copyOf(contacts, last);
    }
}
