package yokebar.app.log;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened to a contact.
 *
 * @param at when, UTC
 * @param sentence what, in words
 * @param raw the record as it came, where one came
 */
public record JourneyStep(Instant at, Kind kind, String sentence, @Nullable String raw) {

    /** What kind of thing happened. */
    public enum Kind {
        ARRIVED,
        MERGED,
        DUPLICATE,
        EDITED,
        HELD,
        DUE,
        HANDED_OVER,
        ACCEPTED,
        REFUSED,
        CONFIRMED
    }
}
