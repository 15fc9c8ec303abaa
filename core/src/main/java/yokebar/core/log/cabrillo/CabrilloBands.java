package yokebar.core.log.cabrillo;

import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;

/** The bands above 30 MHz, which the Cabrillo 3.0 specification gives by name; on the others it gives the frequency in kHz. */
public final class CabrilloBands {
    private static final Map<String, Band> BY_NAME = Map.ofEntries(
            Map.entry("50", Band.M6),
            Map.entry("70", Band.M4),
            Map.entry("144", Band.M2),
            Map.entry("222", Band.M1_25),
            Map.entry("432", Band.CM70),
            Map.entry("902", Band.CM33),
            Map.entry("1.2G", Band.CM23),
            Map.entry("2.3G", Band.CM13),
            Map.entry("3.4G", Band.CM9),
            Map.entry("5.7G", Band.CM6),
            Map.entry("10G", Band.CM3));
    private static final Map<Band, String> NAMES =
            BY_NAME.entrySet().stream().collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));

    private CabrilloBands() {}

    /** The name of a band, or null where the frequency is given. */
    public static @Nullable String name(Band band) {
        return NAMES.get(band);
    }

    static @Nullable Band named(String name) {
        return BY_NAME.get(name);
    }
}
