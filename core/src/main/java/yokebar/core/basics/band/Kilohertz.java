package yokebar.core.basics.band;

import java.math.BigDecimal;

/** Frequencies as data files have them: in kHz with a point. */
final class Kilohertz {
    private Kilohertz() {}

    /**
     * @return Hz
     * @throws NumberFormatException when it is none
     */
    static long read(String text) {
        return new BigDecimal(text).movePointRight(3).longValue();
    }

    /** Grouped as people write it, such as {@code 14 074.5}. */
    static String words(long hz) {
        String digits = BigDecimal.valueOf(hz, 3).stripTrailingZeros().toPlainString();
        int point = digits.indexOf('.');
        String whole = point < 0 ? digits : digits.substring(0, point);
        String grouped = whole.replaceAll("\\B(?=(\\d{3})+$)", "\u2009");
        return grouped + (point < 0 ? "" : digits.substring(point));
    }
}
