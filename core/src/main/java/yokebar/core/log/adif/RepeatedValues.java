package yokebar.core.log.adif;

import java.nio.charset.StandardCharsets;

/**
 * Makes the {@code String} of a short ASCII value, or gives one it made before: a log says {@code 20m}, its own call and the
 * name of a country a hundred thousand times. A value met later takes the slot of another, so memory stays bounded; not
 * thread-safe.
 */
final class RepeatedValues {
    private static final int SLOT_BITS = 11;
    /** Longer values are mostly comments, which do not repeat. */
    private static final int LONGEST_KEPT = 16;

    private final long[] heads = new long[1 << SLOT_BITS];
    private final long[] tails = new long[1 << SLOT_BITS];
    private final String[] values = new String[1 << SLOT_BITS];

    /** @param buffer with at least sixteen bytes of it behind the value's start */
    String of(byte[] buffer, int start, int length) {
        if (length > LONGEST_KEPT) {
            return new String(buffer, start, length, StandardCharsets.ISO_8859_1);
        }
        long head = Bytes.head(buffer, start, length);
        long tail = length > 8 ? Bytes.head(buffer, start + 8, length - 8) : 0;
        int slot = Bytes.slot(head, tail, SLOT_BITS);
        String known = values[slot];
        if (known != null && heads[slot] == head && tails[slot] == tail && known.length() == length) {
            return known;
        }
        String value = new String(buffer, start, length, StandardCharsets.ISO_8859_1);
        heads[slot] = head;
        tails[slot] = tail;
        values[slot] = value;
        return value;
    }
}
