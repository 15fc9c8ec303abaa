package yokebar.core.operate.contest;

import org.jspecify.annotations.Nullable;

/**
 * Something in a contest log that is likely a mistake.
 *
 * @param contactId of the contact in the log
 * @param sentence what is odd about it
 * @param likelyCall the call it most likely was; null when the finding is of something else
 */
public record Finding(long contactId, Kind kind, String sentence, @Nullable String likelyCall) {
    /** What the finding is of. */
    public enum Kind {
        /** A call worked once, one slip away from one that was worked more often. */
        CALL,
        /** Something the station sent otherwise in its other contacts. */
        EXCHANGE,
        /** A field of the exchange that was not received. */
        MISSING,
        /** A serial that goes back, or was given twice. */
        SERIAL,
        /** A contact with an exchange that is outside the contest's times, bands or modes. */
        OUTSIDE
    }
}
