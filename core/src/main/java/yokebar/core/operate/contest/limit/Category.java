package yokebar.core.operate.contest.limit;

import java.util.Set;

/**
 * A choice of which each participant makes one.
 *
 * @param name such as {@code operator}; with {@code CATEGORY-} in front it is a line of the Cabrillo log
 * @param choices such as {@code SINGLE-OP}
 * @param optional whether a participant may leave it open, as an overlay
 */
public record Category(String name, Set<String> choices, boolean optional) {
    /** The category that decides the power factor. */
    public static final String POWER = "power";
}
