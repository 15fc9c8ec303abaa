package yokebar.core.log.index;

import java.util.Arrays;
import java.util.BitSet;
import java.util.function.IntUnaryOperator;

/** Puts contacts in an order. */
final class LogSorter {
    /** One in so many is few: they are sorted rather than met on the way through the whole log. */
    private static final int FEW = 20;

    private final LogColumns columns;
    private final Slots slots;

    LogSorter(LogColumns columns) {
        this.columns = columns;
        this.slots = columns.slots();
    }

    /** The slots of every contact by their start. */
    int[] everyOneInTime(boolean newestFirst) {
        int[] places = new int[slots.size()];
        for (int i = 0; i < places.length; i++) {
            places[i] = slots.at(newestFirst ? places.length - 1 - i : i);
        }
        return places;
    }

    /** Of those that are equal in the order the newest comes first. */
    int[] sorted(BitSet contacts, Order order) {
        if (order.field().equals(Order.START)) {
            return inTime(contacts, order.descending());
        }
        int[] found = inTime(contacts, true);
        return order.field().equals(Order.FREQUENCY) ? byFrequency(found, order) : byText(found, order);
    }

    private int[] inTime(BitSet matching, boolean newestFirst) {
        int[] found = new int[matching.cardinality()];
        int next = 0;
        if (found.length < slots.size() / FEW) {
            int[] places = matching.stream().map(slots::placeOf).sorted().toArray();
            for (int place : places) {
                found[newestFirst ? places.length - 1 - next : next] = slots.at(place);
                next++;
            }
            return found;
        }
        for (int i = 0; i < slots.size(); i++) {
            int slot = slots.at(newestFirst ? slots.size() - 1 - i : i);
            if (matching.get(slot)) {
                found[next++] = slot;
            }
        }
        return found;
    }

    private int[] byFrequency(int[] found, Order order) {
        long[] distinct = Arrays.stream(found)
                .mapToLong(slot -> columns.frequency(slot))
                .sorted()
                .distinct()
                .toArray();
        int max = distinct.length - 1;
        return ranked(found, distinct.length, slot -> {
            int rank = Arrays.binarySearch(distinct, columns.frequency(slot));
            return order.descending() ? max - rank : rank;
        });
    }

    /** Those without a text come last either way. */
    private int[] byText(int[] found, Order order) {
        TextColumn column = columns.columnOrEmpty(order.field());
        int[] ranks = column.ranks();
        int none = ranks.length - 1;
        return ranked(found, ranks.length, slot -> {
            int rank = ranks[column.code(slot)];
            return !order.descending() || rank == none ? rank : none - 1 - rank;
        });
    }

    /** Counting sort: those of equal rank stay in the order they were in. */
    private static int[] ranked(int[] found, int ranks, IntUnaryOperator rankOf) {
        int[] starts = new int[ranks + 1];
        for (int slot : found) {
            starts[rankOf.applyAsInt(slot) + 1]++;
        }
        for (int i = 1; i < starts.length; i++) {
            starts[i] += starts[i - 1];
        }
        int[] sorted = new int[found.length];
        for (int slot : found) {
            sorted[starts[rankOf.applyAsInt(slot)]++] = slot;
        }
        return sorted;
    }
}
