package yokebar.core.log.index;

import java.util.Arrays;
import java.util.BitSet;

/** Which contact is in which slot, and the slots in the log's order: by start, then by number. */
final class Slots {
    private static final int FIRST_SIZE = 1024;
    private static final int NO_SLOT = -1;

    private long[] ids = new long[FIRST_SIZE];
    private long[] starts = new long[FIRST_SIZE];
    private int end;
    private int[] slotOfId = filled(new int[FIRST_SIZE], 0);
    /** Slots, the oldest contact first. */
    private int[] order = new int[FIRST_SIZE];

    private int live;

    /** One beyond the last slot ever used. */
    int end() {
        return end;
    }

    int size() {
        return live;
    }

    long id(int slot) {
        return ids[slot];
    }

    long start(int slot) {
        return starts[slot];
    }

    /** The slot of a contact, or -1. */
    int slotOf(long id) {
        return id < slotOfId.length ? slotOfId[(int) id] : NO_SLOT;
    }

    /** The slot at a place of the order, 0 for the oldest. */
    int at(int place) {
        return order[place];
    }

    /** Where a slot stands in the order. */
    int placeOf(int slot) {
        int place = firstNotBefore(starts[slot], ids[slot]);
        if (place >= live || order[place] != slot) {
            throw new IllegalStateException("slot " + slot + " is not in the log");
        }
        return place;
    }

    /** Gives a new contact the next slot; it is not in the order before {@link #enter}. */
    int take(long id, long start) {
        if (end == ids.length) {
            ids = Arrays.copyOf(ids, end * 2);
            starts = Arrays.copyOf(starts, end * 2);
        }
        if (id >= slotOfId.length) {
            int known = slotOfId.length;
            slotOfId = filled(Arrays.copyOf(slotOfId, (int) Math.max(id + 1, known * 2L)), known);
        }
        ids[end] = id;
        starts[end] = start;
        slotOfId[(int) id] = end;
        return end++;
    }

    /** Puts the slots from this one on into the order. */
    void enter(int first) {
        merge(sorted(first));
    }

    private void merge(int[] fresh) {
        int added = fresh.length;
        if (order.length < live + added) {
            order = Arrays.copyOf(order, Math.max(live + added, order.length * 2));
        }
        int write = live + added - 1;
        int known = live - 1;
        for (int i = added - 1; i >= 0; i--) {
            while (known >= 0 && after(order[known], fresh[i])) {
                order[write--] = order[known--];
            }
            order[write--] = fresh[i];
        }
        live += added;
    }

    /** Takes contacts out of the order; their slots are not used again. */
    void remove(BitSet gone) {
        takeOut(gone);
        gone.stream().forEach(slot -> slotOfId[(int) ids[slot]] = NO_SLOT);
    }

    /** Gives a contact another start. */
    void move(int slot, long start) {
        if (starts[slot] == start) {
            return;
        }
        BitSet moved = new BitSet();
        moved.set(slot);
        takeOut(moved);
        starts[slot] = start;
        merge(new int[] {slot});
    }

    private void takeOut(BitSet gone) {
        int write = gone.cardinality() == 1 ? placeOf(gone.nextSetBit(0)) : 0;
        for (int read = write; read < live; read++) {
            if (!gone.get(order[read])) {
                order[write++] = order[read];
            }
        }
        live = write;
    }

    private int[] sorted(int first) {
        int[] fresh = new int[end - first];
        boolean inOrder = true;
        for (int i = 0; i < fresh.length; i++) {
            fresh[i] = first + i;
            inOrder &= i == 0 || after(fresh[i], fresh[i - 1]);
        }
        if (!inOrder) {
            // Slots below 2^26 and seconds of 37 bits fit side by side into one number each.
            long[] keys = new long[fresh.length];
            for (int i = 0; i < keys.length; i++) {
                keys[i] = starts[first + i] << 26 | i;
            }
            Arrays.parallelSort(keys);
            for (int i = 0; i < keys.length; i++) {
                fresh[i] = first + (int) (keys[i] & (1 << 26) - 1);
            }
        }
        return fresh;
    }

    private boolean after(int slot, int other) {
        return starts[slot] > starts[other] || starts[slot] == starts[other] && ids[slot] > ids[other];
    }

    /** The first place at or behind a start and number. */
    int firstNotBefore(long start, long id) {
        int low = 0;
        int high = live;
        while (low < high) {
            int middle = low + high >>> 1;
            int slot = order[middle];
            if (starts[slot] < start || starts[slot] == start && ids[slot] < id) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private static int[] filled(int[] slots, int from) {
        Arrays.fill(slots, from, slots.length, NO_SLOT);
        return slots;
    }
}
