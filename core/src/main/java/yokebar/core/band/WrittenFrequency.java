package yokebar.core.band;

import java.math.BigDecimal;

/** Frequencies as operators write them: kHz, or MHz when the number is small. */
public final class WrittenFrequency {
    private static final BigDecimal MHZ_BELOW = BigDecimal.valueOf(1000);
    private static final int KHZ_DIGITS = 3;
    private static final int MHZ_DIGITS = 6;
    private static final long LOWEST_BANDS_END_HZ = 1_000_000;

    private WrittenFrequency() {}

    /** In Hz: {@code 14250}, {@code 14.25} and {@code 474}, which is kHz, for there is a band at 474 kHz and none at 474 MHz. */
    public static long hz(BigDecimal number) {
        return number.movePointRight(digits(number)).longValue();
    }

    /** By how many digits the decimal point moves to give Hz: 3 for kHz, 6 for MHz. */
    public static int digits(BigDecimal number) {
        if (number.compareTo(MHZ_BELOW) >= 0) {
            return KHZ_DIGITS;
        }
        long asKhz = number.movePointRight(KHZ_DIGITS).longValue();
        return asKhz < LOWEST_BANDS_END_HZ && Band.of(asKhz) != null ? KHZ_DIGITS : MHZ_DIGITS;
    }
}
