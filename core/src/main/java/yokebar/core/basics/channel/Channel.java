package yokebar.core.basics.channel;

import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.PropagationMode;

/**
 * A repeater's or satellite's frequencies, as this station transmits on them.
 *
 * @param fromHz lowest, Hz
 * @param toHz highest, Hz; the same as the lowest for a single channel
 * @param propagation what a contact on it is logged as
 * @param name the repeater's or satellite's
 */
public record Channel(long fromHz, long toHz, PropagationMode propagation, String name) {
    /** A radio that is this far off still opens the repeater. */
    private static final long ASIDE_HZ = 2_500;

    /** Whether a contact at a frequency went through it. */
    public boolean holds(long hz) {
        return hz >= fromHz - ASIDE_HZ && hz <= toHz + ASIDE_HZ;
    }

    /** The satellite's name as ADIF has it; null for anything else. */
    public @Nullable String satellite() {
        return propagation == PropagationMode.SAT ? name : null;
    }

    /** Such as {@code repeater Pico}. */
    public String words() {
        return propagation.words() + " " + name;
    }
}
