package yokebar.core.basics.band;

import java.math.BigDecimal;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Frequencies as operators write them: kHz; MHz when the number is small or only that is on a band; Hz when the number is very
 * large and only that is on a band.
 */
public final class WrittenFrequency {
    private static final Pattern SHAPE = Pattern.compile("\\d{1,12}(?:\\.\\d{0,6})?");
    private static final BigDecimal MHZ_BELOW = BigDecimal.valueOf(1000);
    private static final BigDecimal MAY_BE_HZ_FROM = BigDecimal.valueOf(1_000_000);
    private static final int HZ_DIGITS = 0;
    private static final int KHZ_DIGITS = 3;
    private static final int MHZ_DIGITS = 6;
    private static final long LOWEST_BANDS_END_HZ = 1_000_000;

    private WrittenFrequency() {}

    /**
     * Reads what somebody typed; blanks may group the digits, a comma may stand for the point.
     *
     * @return Hz; null when it is not a number
     */
    public static @Nullable Long read(String text) {
        String tidy = text.replaceAll("\\s", "").replace(',', '.');
        return SHAPE.matcher(tidy).matches() ? hz(new BigDecimal(tidy)) : null;
    }

    /** In Hz: {@code 14250}, {@code 14.25} and {@code 474}, which is kHz, for there is a band at 474 kHz and none at 474 MHz. */
    public static long hz(BigDecimal number) {
        return number.movePointRight(digits(number)).longValue();
    }

    /** By how many digits the decimal point moves to give Hz: 0 for Hz, 3 for kHz, 6 for MHz. */
    public static int digits(BigDecimal number) {
        boolean onABandInKhz = isOnABand(number, KHZ_DIGITS);
        if (number.compareTo(MHZ_BELOW) < 0) {
            boolean low = number.movePointRight(KHZ_DIGITS).longValue() < LOWEST_BANDS_END_HZ;
            return low && onABandInKhz ? KHZ_DIGITS : MHZ_DIGITS;
        }
        if (number.compareTo(MAY_BE_HZ_FROM) >= 0 && isOnABand(number, HZ_DIGITS)) {
            return HZ_DIGITS;
        }
        // Whole numbers are kHz, also between the bands: 9410 is a broadcast station.
        boolean fraction = number.stripTrailingZeros().scale() > 0;
        return fraction && !onABandInKhz && isOnABand(number, MHZ_DIGITS) ? MHZ_DIGITS : KHZ_DIGITS;
    }

    private static boolean isOnABand(BigDecimal number, int digits) {
        return Band.of(number.movePointRight(digits).longValue()) != null;
    }
}
