package yokebar.core.log.contact;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** How the signal travelled: the propagation mode enumeration of the ADIF specification 3.1.x, by its codes. */
public enum PropagationMode {
    AS("aircraft scatter"),
    AUE("aurora-E"),
    AUR("aurora"),
    BS("back scatter"),
    ECH("linked repeaters"),
    EME("earth-moon-earth"),
    ES("sporadic E"),
    F2("F2 reflection"),
    FAI("field aligned irregularities"),
    GWAVE("ground wave"),
    INTERNET("internet-linked"),
    ION("ionoscatter"),
    IRL("internet-linked repeater"),
    LOS("line of sight"),
    MS("meteor scatter"),
    RPT("repeater"),
    RS("rain scatter"),
    SAT("satellite"),
    TEP("trans-equatorial"),
    TR("tropospheric ducting");

    private final String words;

    PropagationMode(String words) {
        this.words = words;
    }

    /** In plain words, lower case. */
    public String words() {
        return words;
    }

    /** Whether a machine or a network on the ground carried the signal, so that it is not a contact of two stations' own. */
    public boolean relayed() {
        return this == RPT || this == INTERNET || this == ECH || this == IRL;
    }

    /** The mode with this code in any case, or null. */
    public static @Nullable PropagationMode read(String code) {
        String tidy = code.strip().toUpperCase(Locale.ROOT);
        for (PropagationMode mode : values()) {
            if (mode.name().equals(tidy)) {
                return mode;
            }
        }
        return null;
    }
}
