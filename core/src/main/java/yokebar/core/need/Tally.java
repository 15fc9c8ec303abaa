package yokebar.core.need;

import java.util.Arrays;
import yokebar.core.band.Band;
import yokebar.core.mode.ModeGroup;

/**
 * How many contacts of one station, entity or the like there are by band and mode group. Most hold one or two of the hundred
 * cells, so only those with contacts are kept, sorted.
 */
final class Tally {
    private static final int GROUPS = ModeGroup.values().length;
    private static final byte[] NO_CELLS = {};
    private static final int[] NO_COUNTS = {};

    private byte[] cells = NO_CELLS;
    private int[] worked = NO_COUNTS;
    private int[] confirmed = NO_COUNTS;

    void add(Band band, ModeGroup group, int contacts, int confirmations) {
        byte cell = cell(band, group);
        int place = Arrays.binarySearch(cells, cell);
        if (place < 0) {
            place = -place - 1;
            insert(place, cell);
        }
        worked[place] += contacts;
        confirmed[place] += confirmations;
        if (worked[place] == 0) {
            drop(place);
        }
    }

    boolean isEmpty() {
        return cells.length == 0;
    }

    Worked snapshot() {
        Worked.Builder result = new Worked.Builder();
        for (int i = 0; i < cells.length; i++) {
            result.put(
                    Band.values()[cells[i] / GROUPS], ModeGroup.values()[cells[i] % GROUPS], worked[i], confirmed[i]);
        }
        return result.build();
    }

    private static byte cell(Band band, ModeGroup group) {
        return (byte) (band.ordinal() * GROUPS + group.ordinal());
    }

    private void insert(int place, byte cell) {
        int size = cells.length;
        cells = Arrays.copyOf(cells, size + 1);
        worked = Arrays.copyOf(worked, size + 1);
        confirmed = Arrays.copyOf(confirmed, size + 1);
        System.arraycopy(cells, place, cells, place + 1, size - place);
        System.arraycopy(worked, place, worked, place + 1, size - place);
        System.arraycopy(confirmed, place, confirmed, place + 1, size - place);
        cells[place] = cell;
        worked[place] = 0;
        confirmed[place] = 0;
    }

    private void drop(int place) {
        int last = cells.length - 1;
        System.arraycopy(cells, place + 1, cells, place, last - place);
        System.arraycopy(worked, place + 1, worked, place, last - place);
        System.arraycopy(confirmed, place + 1, confirmed, place, last - place);
        cells = Arrays.copyOf(cells, last);
        worked = Arrays.copyOf(worked, last);
        confirmed = Arrays.copyOf(confirmed, last);
    }
}
