package yokebar.core.operate.contest;

import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;

/** The modes that contests tell apart; radioteletype counts as a mode of its own. */
public enum ContestMode {
    CW("CW"),
    PHONE("PH"),
    RTTY("RY"),
    DIGITAL("DG");

    private final String cabrillo;

    ContestMode(String cabrillo) {
        this.cabrillo = cabrillo;
    }

    public static ContestMode of(Mode mode) {
        if (mode.name().equals("RTTY")) {
            return RTTY;
        }
        ModeGroup group = mode.group();
        return group == ModeGroup.CW ? CW : group == ModeGroup.PHONE ? PHONE : DIGITAL;
    }

    /**
     * The mode that is meant by what a radio is set to. Radioteletype is sent in a sideband or in a mode for data, so a radio does
     * not always say it.
     *
     * @param set as the radio is set; null when the radio cannot tell, as in a mode for data
     * @param modes of the contest
     * @param decoding whether decoders of radioteletype run
     */
    public static @Nullable Mode meant(@Nullable Mode set, Set<ContestMode> modes, boolean decoding) {
        ContestMode as = set == null ? DIGITAL : of(set);
        boolean notHere = as != CW && !modes.contains(as);
        return modes.contains(RTTY) && (notHere || as == DIGITAL && decoding) ? new Mode("RTTY", null) : set;
    }

    /** The mode of a name in any case, or null. */
    public static @Nullable ContestMode named(String name) {
        for (ContestMode mode : values()) {
            if (mode.name().equals(name.toUpperCase(Locale.ROOT))) {
                return mode;
            }
        }
        return null;
    }

    /** As people write it. */
    public String written() {
        return this == PHONE || this == DIGITAL ? name().toLowerCase(Locale.ROOT) : name();
    }

    /** As the Cabrillo 3.0 specification writes it in a contact's line. */
    public String cabrillo() {
        return cabrillo;
    }
}
