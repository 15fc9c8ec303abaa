package yokebar.core.adif;

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

    /** The first bytes, at most eight, as a number; the buffer must hold eight bytes from the start. */
    static long head(byte[] buffer, int start, int length) {
        long eight = (long) LONGS.get(buffer, start);
        return length >= 8 ? eight : eight & (1L << 8 * length) - 1;
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
            long eight = (long) LONGS.get(buffer, i);
            // In each term the lowest flagged byte is right; those above it may be flagged by a borrow.
            long stops = zeroBytes(eight ^ COLONS) | zeroBytes(eight ^ GREATERS) | blankBytes(eight);
            if (stops != 0) {
                return Math.min(end, i + (Long.numberOfTrailingZeros(stops) >>> 3));
            }
        }
        return end;
    }

    private static long zeroBytes(long eight) {
        return eight - ONES & ~eight & TOP_BITS;
    }

    private static long blankBytes(long eight) {
        return eight - ONES * 0x21 & ~eight & TOP_BITS;
    }

    /** How many newlines stand between two places. */
    static long newlines(byte[] buffer, int from, int to) {
        long count = 0;
        int i = from;
        for (; i + 8 <= to; i += 8) {
            // A byte becomes zero where a newline stands; the sum carries into the top bit of every other byte.
            long differs = (long) LONGS.get(buffer, i) ^ NEWLINES;
            long zeroBytes = ~((differs & ~TOP_BITS) + ~TOP_BITS | differs | ~TOP_BITS);
            count += Long.bitCount(zeroBytes);
        }
        for (; i < to; i++) {
            count += buffer[i] == '\n' ? 1 : 0;
        }
        return count;
    }
}
