package yokebar.core.basics.mode;

import org.jspecify.annotations.Nullable;

/**
 * A mode with its optional submode, by the mode enumeration of the ADIF specification 3.1.x.
 *
 * @param name the mode, such as {@code SSB} or {@code MFSK}
 * @param submode the submode, such as {@code USB} or {@code FT4}, or null
 */
public record Mode(String name, @Nullable String submode) {
    /** Some digital mode, as contest logs say that do not name it. */
    private static final String ANY_DIGITAL = "DATA";

    /** What operators call it: the submode where there is one that says more, else the mode. */
    public String label() {
        return submode == null ? name : submode;
    }

    public ModeGroup group() {
        return Modes.groupOf(name);
    }

    /**
     * Equal, or one is the general form of the other: {@code SSB} fits {@code SSB/USB}, {@code DATA} fits every digital mode.
     */
    public boolean compatibleWith(Mode other) {
        if (name.equals(ANY_DIGITAL) || other.name.equals(ANY_DIGITAL)) {
            return group() == ModeGroup.DIGITAL && other.group() == ModeGroup.DIGITAL;
        }
        return name.equals(other.name) && (submode == null || other.submode == null || submode.equals(other.submode));
    }

    /** Whether this one says more than the other: the same mode with a submode, or which digital mode it was. */
    public boolean moreSpecificThan(Mode other) {
        if (other.name.equals(ANY_DIGITAL)) {
            return !name.equals(ANY_DIGITAL) && group() == ModeGroup.DIGITAL;
        }
        return name.equals(other.name) && submode != null && other.submode == null;
    }
}
