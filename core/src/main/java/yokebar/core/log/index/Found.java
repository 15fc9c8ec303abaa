package yokebar.core.log.index;

import java.util.OptionalInt;
import java.util.stream.LongStream;

/** The contacts a search found, in their order. It stays as it was when the log changes. */
public final class Found {
    private final int[] places;
    private final Slots slots;

    Found(int[] places, Slots slots) {
        this.places = places;
        this.slots = slots;
    }

    public int size() {
        return places.length;
    }

    /** The numbers of the contacts from a place on, at most as many as asked for. */
    public long[] ids(int from, int max) {
        int first = Math.max(0, Math.min(from, places.length));
        int last = (int) Math.min((long) first + max, places.length);
        long[] ids = new long[last - first];
        for (int i = 0; i < ids.length; i++) {
            ids[i] = slots.id(places[first + i]);
        }
        return ids;
    }

    public LongStream ids() {
        return LongStream.of(ids(0, places.length));
    }

    OptionalInt placeOf(int slot) {
        for (int i = 0; i < places.length; i++) {
            if (places[i] == slot) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }
}
