package yokebar.app.platform.actor;

import org.jspecify.annotations.Nullable;

/**
 * Who does something.
 *
 * @param person the operator's name or call; null when the position has no operator
 * @param position the name of the position they are at
 */
public record Actor(@Nullable String person, String position) {

    /** Such as {@code Branca Teles at Desk}. */
    public String words() {
        return person == null ? "at " + position : person + " at " + position;
    }
}
