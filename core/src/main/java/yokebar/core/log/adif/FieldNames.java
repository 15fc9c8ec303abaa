package yokebar.core.log.adif;

import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * Turns the bytes of a field name into its upper-case, interned {@code String}, remembering what it met, so that a file of a
 * million records does not make fifteen million names. A name of up to sixteen bytes is compared as two numbers. Holds a
 * bounded number of names; not thread-safe.
 */
final class FieldNames {
    private static final int SLOT_BITS = 11;
    private static final int SLOTS = 1 << SLOT_BITS;
    private static final int MAX_KEPT = SLOTS / 2;
    private static final int LONGEST_KEPT = 16;

    private final long[] heads = new long[SLOTS];
    private final long[] tails = new long[SLOTS];
    private final String[] names = new String[SLOTS];
    private int kept;

    /**
     * @param buffer with at least sixteen bytes of it behind the name's start
     * @param head its first eight bytes, zeros behind a shorter name
     */
    String intern(byte[] buffer, int start, int length, long head) {
        if (length > LONGEST_KEPT) {
            return upperCase(buffer, start, length);
        }
        // The bytes as written; a name written in another case is another entry.
        long tail = length > 8 ? Bytes.head(buffer, start + 8, length - 8) : 0;
        int slot = Bytes.slot(head, tail, SLOT_BITS);
        while (true) {
            String candidate = names[slot];
            if (candidate == null) {
                String name = upperCase(buffer, start, length);
                if (kept < MAX_KEPT) {
                    heads[slot] = head;
                    tails[slot] = tail;
                    names[slot] = name;
                    kept++;
                }
                return name;
            }
            // A name holds no control bytes, so two of different length differ in these numbers too.
            if (heads[slot] == head && tails[slot] == tail) {
                return candidate;
            }
            slot = slot + 1 & SLOTS - 1;
        }
    }

    private static String upperCase(byte[] buffer, int start, int length) {
        // Only user-defined names hold anything but ASCII.
        return new String(buffer, start, length, StandardCharsets.UTF_8)
                .toUpperCase(Locale.ROOT)
                .intern();
    }
}
