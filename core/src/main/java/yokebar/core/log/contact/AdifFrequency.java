package yokebar.core.log.contact;

/** ADIF frequencies: MHz with decimals, exact to the Hz. */
public final class AdifFrequency {
    static final long NONE = -1;
    private static final int DECIMALS = 6;
    private static final int MAX_WHOLE_DIGITS = 10;

    private AdifFrequency() {}

    /** Hz, rounded half up; {@link #NONE} when the text is not a frequency. A comma is taken for a point. */
    static long hz(String mhz) {
        int length = mhz.length();
        int point = digitsEnd(mhz, 0);
        boolean whole = point == length;
        if (!whole && mhz.charAt(point) != '.' && mhz.charAt(point) != ',') {
            return NONE;
        }
        int decimalsFrom = whole ? length : point + 1;
        if (digitsEnd(mhz, decimalsFrom) != length || point > MAX_WHOLE_DIGITS || point + length - decimalsFrom == 0) {
            return NONE;
        }
        int kept = Math.min(length, decimalsFrom + DECIMALS);
        long hz = number(mhz, decimalsFrom, kept, number(mhz, 0, point, 0));
        for (int missing = decimalsFrom + DECIMALS - kept; missing > 0; missing--) {
            hz *= 10;
        }
        return kept < length && mhz.charAt(kept) >= '5' ? hz + 1 : hz;
    }

    private static int digitsEnd(String text, int from) {
        int i = from;
        while (i < text.length() && text.charAt(i) >= '0' && text.charAt(i) <= '9') {
            i++;
        }
        return i;
    }

    private static long number(String digits, int from, int to, long before) {
        long number = before;
        for (int i = from; i < to; i++) {
            number = number * 10 + digits.charAt(i) - '0';
        }
        return number;
    }

    /** A frequency in Hz as ADIF writes it. */
    public static String mhz(long hz) {
        long whole = hz / 1_000_000;
        long rest = hz % 1_000_000;
        if (rest == 0) {
            return Long.toString(whole);
        }
        String decimals = Long.toString(1_000_000 + rest).substring(1);
        int end = decimals.length();
        while (decimals.charAt(end - 1) == '0') {
            end--;
        }
        return whole + "." + decimals.substring(0, end);
    }
}
