package yokebar.core.basics.band;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * An amateur band. Names and limits are those of the band enumeration of the ADIF specification 3.1.x; they are the widest
 * limits of any country, not anybody's licence.
 */
public enum Band {
    M2190("2190m", 135_700L, 137_800L),
    M630("630m", 472_000L, 479_000L),
    M560("560m", 501_000L, 504_000L),
    M160("160m", 1_800_000L, 2_000_000L),
    M80("80m", 3_500_000L, 4_000_000L),
    M60("60m", 5_060_000L, 5_450_000L),
    M40("40m", 7_000_000L, 7_300_000L),
    M30("30m", 10_100_000L, 10_150_000L),
    M20("20m", 14_000_000L, 14_350_000L),
    M17("17m", 18_068_000L, 18_168_000L),
    M15("15m", 21_000_000L, 21_450_000L),
    M12("12m", 24_890_000L, 24_990_000L),
    M10("10m", 28_000_000L, 29_700_000L),
    M8("8m", 40_000_000L, 45_000_000L),
    M6("6m", 50_000_000L, 54_000_000L),
    M5("5m", 54_000_001L, 69_900_000L),
    M4("4m", 70_000_000L, 71_000_000L),
    M2("2m", 144_000_000L, 148_000_000L),
    M1_25("1.25m", 222_000_000L, 225_000_000L),
    CM70("70cm", 420_000_000L, 450_000_000L),
    CM33("33cm", 902_000_000L, 928_000_000L),
    CM23("23cm", 1_240_000_000L, 1_300_000_000L),
    CM13("13cm", 2_300_000_000L, 2_450_000_000L),
    CM9("9cm", 3_300_000_000L, 3_500_000_000L),
    CM6("6cm", 5_650_000_000L, 5_925_000_000L),
    CM3("3cm", 10_000_000_000L, 10_500_000_000L),
    CM1_25("1.25cm", 24_000_000_000L, 24_250_000_000L),
    MM6("6mm", 47_000_000_000L, 47_200_000_000L),
    MM4("4mm", 75_500_000_000L, 81_000_000_000L),
    MM2_5("2.5mm", 119_980_000_000L, 123_000_000_000L),
    MM2("2mm", 134_000_000_000L, 149_000_000_000L),
    MM1("1mm", 241_000_000_000L, 250_000_000_000L),
    SUBMM("submm", 300_000_000_000L, 7_500_000_000_000L);

    private static final Set<Band> USUAL =
            EnumSet.of(M160, M80, M60, M40, M30, M20, M17, M15, M12, M10, M6, M4, M2, CM70);
    private static final Map<String, Band> BY_NAME = new HashMap<>();
    private static final Band[] ALL = values();

    static {
        for (Band band : ALL) {
            BY_NAME.put(band.adifName, band);
            BY_NAME.put(band.adifName.toUpperCase(Locale.ROOT), band);
        }
    }

    private final String adifName;
    private final long lowHz;
    private final long highHz;

    Band(String adifName, long lowHz, long highHz) {
        this.adifName = adifName;
        this.lowHz = lowHz;
        this.highHz = highHz;
    }

    /** The name used in ADIF and on screen, such as {@code 20m}. */
    public String adifName() {
        return adifName;
    }

    /** The lower limit, Hz, inclusive. */
    public long lowHz() {
        return lowHz;
    }

    /** The upper limit, Hz, inclusive. */
    public long highHz() {
        return highHz;
    }

    /** The band a frequency in Hz lies in, or null when it is on none. */
    public static @Nullable Band of(long frequencyHz) {
        for (Band band : ALL) {
            if (frequencyHz <= band.highHz) {
                return frequencyHz >= band.lowHz ? band : null;
            }
        }
        return null;
    }

    /** The band with an ADIF name in any case, or null when there is none. */
    public static @Nullable Band named(String adifName) {
        Band band = BY_NAME.get(adifName);
        return band != null ? band : BY_NAME.get(adifName.strip().toLowerCase(Locale.ROOT));
    }

    /** Whether most stations have something for it; the others are offered only where they are asked for. */
    public boolean isUsual() {
        return USUAL.contains(this);
    }
}
