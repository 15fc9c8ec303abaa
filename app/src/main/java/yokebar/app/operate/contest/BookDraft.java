package yokebar.app.operate.contest;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A contest book to be begun.
 *
 * @param contest name of the contest
 * @param ownCall the call it is taken part in with; empty for the station's own
 * @param power the power class; empty where power does not count
 * @param sent what the own station sends, by the names of the exchange's fields; what the place or the call says may be left out
 * @param category the other choices by the category's name; those left out stay as they are, in a new book the usual ones
 * @param header further lines of the Cabrillo log by their names, such as {@code CLUB}; those left out stay, an empty one is taken away
 * @param goal the score to reach, 0 for none; null leaves it as it is
 */
record BookDraft(
        @Nullable String contest,
        @Nullable String ownCall,
        @Nullable String power,
        @Nullable Map<String, String> sent,
        @Nullable Map<String, @Nullable String> category,
        @Nullable Map<String, @Nullable String> header,
        @Nullable Long goal) {}
