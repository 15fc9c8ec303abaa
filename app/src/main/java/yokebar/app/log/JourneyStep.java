package yokebar.app.log;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened to a contact.
 *
 * @param at when, UTC
 * @param sentence what, in words
 * @param raw the record as it came, where one came
 * @param madeBy the person and the position, in words; null for what the station did by itself
 */
public record JourneyStep(Instant at, Kind kind, String sentence, @Nullable String raw, @Nullable String madeBy) {

    /** A step of the station itself. */
    public static JourneyStep of(Instant at, Kind kind, String sentence, @Nullable String raw) {
        return new JourneyStep(at, kind, sentence, raw, null);
    }

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
