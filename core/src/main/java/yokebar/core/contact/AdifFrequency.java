package yokebar.core.contact;

/** ADIF frequencies: MHz with decimals, exact to the Hz. */
final class AdifFrequency {
    static final long NONE = -1;
    private static final int DECIMALS = 6;
    private static final long MOST_MHZ = 9_999_999;

    private AdifFrequency() {}

    /** Hz, rounded half up; {@link #NONE} when the text is no frequency. A comma is taken for a point. */
    static long hz(String mhz) {
        long hz = 0;
        int decimals = -1;
        boolean roundUp = false;
        int digits = 0;
        for (int i = 0; i < mhz.length(); i++) {
            char c = mhz.charAt(i);
            if (c >= '0' && c <= '9') {
                digits++;
                if (decimals < DECIMALS) {
                    hz = hz * 10 + c - '0';
                    decimals += decimals >= 0 ? 1 : 0;
                } else if (decimals == DECIMALS) {
                    roundUp = c >= '5';
                    decimals++;
                }
            } else if ((c == '.' || c == ',') && decimals < 0) {
                decimals = 0;
            } else {
                return NONE;
            }
            if (decimals < 0 && hz > MOST_MHZ) {
                return NONE;
            }
        }
        if (digits == 0) {
            return NONE;
        }
        for (int d = Math.max(decimals, 0); d < DECIMALS; d++) {
            hz *= 10;
        }
        return roundUp ? hz + 1 : hz;
    }

    static String mhz(long hz) {
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
