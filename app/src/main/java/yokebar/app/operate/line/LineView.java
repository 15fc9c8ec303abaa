package yokebar.app.operate.line;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.tally.NeedMark;
import yokebar.core.operate.line.Draft;
import yokebar.core.operate.line.Token;

/**
 * What a line says so far.
 *
 * @param tunes whether Enter tunes the radio instead of logging
 * @param band where the contact would be, as far as known
 * @param frequencyHz own transmit frequency; null when not known
 * @param relayed whether that is a known channel of a repeater or satellite
 * @param radio whether a radio tells frequency and mode; without one those typed last are kept
 * @param late whether it is a contact made earlier, for which the radio has no say
 * @param problems why it cannot be logged yet; empty when it can
 * @param notices what an operator may want to know, though it can be logged
 * @param station null while no call is there
 * @param likely calls of the log that begin so, or that differ in one character
 * @param countsReady false while the log is still being read after the start
 */
record LineView(
        List<Token> tokens,
        boolean tunes,
        @Nullable String band,
        @Nullable Long frequencyHz,
        @Nullable String mode,
        Instant start,
        boolean relayed,
        boolean radio,
        boolean late,
        List<Draft.Problem> problems,
        List<String> notices,
        @Nullable StationHint station,
        List<LikelyCall> likely,
        boolean countsReady) {

    /**
     * Who that is, from the call alone and the log.
     *
     * @param entity its name; null at sea, in the air and for unknown prefixes
     * @param need how far the entity is: ever, on this band, in this mode group; null without a band or mode
     * @param worked contacts with this station
     * @param dupe a sentence when it was worked today on this band in this mode group already; null otherwise
     * @param wants which goals the contact would bring further, the greatest first
     * @param brings what else would be new with it
     */
    record StationHint(
            String call,
            @Nullable String entity,
            @Nullable String continent,
            @Nullable Integer cqZone,
            @Nullable NeedMark need,
            int worked,
            @Nullable String dupe,
            List<String> wants,
            List<String> brings) {}

    /** @param near whether it differs in one character, rather than going on from what is typed */
    record LikelyCall(String call, boolean near, int worked) {}
}
