package yokebar.core.log.adif;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/** Looking at text eight bytes at a time. */
final class Bytes {
    private static final VarHandle LONGS = MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);
    private static final long TOP_BITS = 0x8080808080808080L;
    private static final long ONES = 0x0101010101010101L;
    private static final long COLONS = ONES * ':';
    private static final long GREATERS = ONES * '>';
    private static final long NEWLINES = 0x0a0a0a0a0a0a0a0aL;

    private Bytes() {}

    static long eight(byte[] buffer, int start) {
        return (long) LONGS.get(buffer, start);
    }

    /** The first bytes, at most eight, as a number; the buffer must hold eight bytes from the start. */
    static long head(byte[] buffer, int start, int length) {
        return first((long) LONGS.get(buffer, start), length);
    }

    /** The first of eight bytes; the others are zero. */
    static long first(long eight, int length) {
        return length >= 8 ? eight : eight & (1L << 8 * length) - 1;
    }

    /** A place in a table of two to the power of {@code bits} slots for a text of up to sixteen bytes. */
    static int slot(long head, long tail, int bits) {
        // Multiplied by two to the 64 over the golden ratio, neighbours fall far apart in the upper bits.
        return (int) ((head ^ Long.rotateLeft(tail, 29)) * 0x9E3779B97F4A7C15L >>> 64 - bits);
    }

    /** Whether all are ASCII; the buffer must hold eight bytes behind the end. */
    static boolean ascii(byte[] buffer, int start, int length) {
        long seen = 0;
        int i = start;
        int end = start + length;
        for (; i + 8 < end; i += 8) {
            seen |= (long) LONGS.get(buffer, i);
        }
        if (i < end) {
            seen |= head(buffer, i, end - i);
        }
        return (seen & TOP_BITS) == 0;
    }

    /**
     * Where a tag's name ends: at the first colon, greater-than sign, blank or control byte from the start on, or at the end
     * given when there is none. The buffer must hold eight bytes behind that end.
     */
    static int nameEnd(byte[] buffer, int start, int end) {
        for (int i = start; i < end; i += 8) {
            int part = nameBytes((long) LONGS.get(buffer, i));
            if (part < 8) {
                return Math.min(end, i + part);
            }
        }
        return end;
    }

    /** How many of eight bytes stand before the first that ends a tag's name, 0 to 8. */
    static int nameBytes(long eight) {
        // In each term the lowest flagged byte is right; those above it may be flagged by a borrow.
        long stops = zeroBytes(eight ^ COLONS) | zeroBytes(eight ^ GREATERS) | blankBytes(eight);
        return Long.numberOfTrailingZeros(stops) >>> 3;
    }

    private static long zeroBytes(long eight) {
        return eight - ONES & ~eight & TOP_BITS;
    }

    private static long blankBytes(long eight) {
        return eight - ONES * 0x21 & ~eight & TOP_BITS;
    }

    private static int newlines(long eight) {
        // A byte becomes zero where a newline stands; the sum carries into the top bit of every other byte.
        long differs = eight ^ NEWLINES;
        return Long.bitCount(~((differs & ~TOP_BITS) + ~TOP_BITS | differs | ~TOP_BITS));
    }

    /** How many newlines stand between two places. */
    static long newlines(byte[] buffer, int from, int to) {
        long count = 0;
        int i = from;
        for (; i + 32 <= to; i += 32) {
            count += newlines((long) LONGS.get(buffer, i))
                    + newlines((long) LONGS.get(buffer, i + 8))
                    + newlines((long) LONGS.get(buffer, i + 16))
                    + newlines((long) LONGS.get(buffer, i + 24));
        }
        for (; i < to; i++) {
            count += buffer[i] == '\n' ? 1 : 0;
        }
        return count;
    }

    /**
     * How many bytes the given number of UTF-8 characters takes.
     *
     * @param limit where the text ends in the buffer
     * @param utf16 whether a character outside the basic plane counts as two
     * @return -1 if it is not UTF-8, or the text ends before
     */
    static int ofCharacters(byte[] buffer, int from, int limit, int characters, boolean utf16) {
        int i = from;
        for (int n = 0; n < characters; n++) {
            if (i >= limit) {
                return -1;
            }
            int b = buffer[i] & 0xff;
            int size = b < 0x80 ? 1 : b >= 0xf0 ? 4 : b >= 0xe0 ? 3 : b >= 0xc0 ? 2 : 0;
            if (size == 0) {
                return -1;
            }
            if (utf16 && size == 4) {
                n++;
            }
            i += size;
        }
        return i > limit ? -1 : i - from;
    }
}
