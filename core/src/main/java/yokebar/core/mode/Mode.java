package yokebar.core.mode;

import org.jspecify.annotations.Nullable;

/**
 * A mode with its optional submode, by the mode enumeration of the ADIF specification 3.1.x.
 *
 * @param name the mode, such as {@code SSB} or {@code MFSK}
 * @param submode the submode, such as {@code USB} or {@code FT4}, or null
 */
public record Mode(String name, @Nullable String submode) {

    /** What operators call it: the submode where there is one that says more, else the mode. */
    public String label() {
        return submode == null ? name : submode;
    }

    public ModeGroup group() {
        return Modes.groupOf(name);
    }

    /** Equal, or one is the general form of the other: {@code SSB} fits {@code SSB/USB}. */
    public boolean compatibleWith(Mode other) {
        return name.equals(other.name) && (submode == null || other.submode == null || submode.equals(other.submode));
    }

    /** Whether this one says more than the other: same mode, and only this one names the submode. */
    public boolean moreSpecificThan(Mode other) {
        return name.equals(other.name) && submode != null && other.submode == null;
    }
}
