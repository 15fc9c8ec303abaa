package yokebar.core.log.tally;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Under which call, from where and when a contact was made.
 *
 * @param ownCall null when it is not known
 * @param ownLocator of 4 to 10 characters; null when it is not known
 * @param day UTC; null when it is not known
 */
public record ContactOrigin(@Nullable String ownCall, @Nullable String ownLocator, @Nullable LocalDate day) {
    public static final ContactOrigin UNKNOWN = new ContactOrigin(null, null, null);
}
