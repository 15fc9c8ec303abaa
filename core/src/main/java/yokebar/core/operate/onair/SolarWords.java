package yokebar.core.operate.onair;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the sun's numbers mean for short waves, in plain words. Rules of thumb of the trade: the higher the flux, the higher the
 * bands that open; from K 4 on the field is unsettled, from 5 on it is a storm (the scale of geomagnetic storms begins there).
 */
public final class SolarWords {
    private SolarWords() {}

    /**
     * @param flux at 10.7 cm, solar flux units
     * @param aIndex of the day
     * @param kIndex of the last three hours, 0 to 9
     */
    public static String of(@Nullable Integer flux, @Nullable Integer aIndex, @Nullable Integer kIndex) {
        List<String> words = new ArrayList<>();
        if (flux != null) {
            words.add(
                    flux < 80
                            ? "The sun is quiet: 20 m and below carry, the high bands seldom"
                            : flux < 110
                                    ? "The sun is fair: 20 and 17 m by day, 15 m now and then"
                                    : flux < 150
                                            ? "The sun is active: 15 and 12 m open by day"
                                            : "The sun is very active: even 10 m should be open by day");
        }
        if (kIndex != null) {
            words.add(
                    kIndex >= 5
                            ? "a magnetic storm weakens paths over the north and low bands are noisy"
                            : kIndex == 4 ? "the field is unsettled, northern paths are weak" : "the field is quiet");
        } else if (aIndex != null) {
            words.add(
                    aIndex >= 30
                            ? "the field is stormy"
                            : aIndex >= 15 ? "the field is unsettled" : "the field is quiet");
        }
        if (words.isEmpty()) {
            return "No solar data yet.";
        }
        String all = String.join("; ", words);
        return Character.toUpperCase(all.charAt(0)) + all.substring(1) + ".";
    }
}
