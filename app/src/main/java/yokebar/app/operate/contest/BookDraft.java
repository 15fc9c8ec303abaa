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
 */
record BookDraft(
        @Nullable String contest,
        @Nullable String ownCall,
        @Nullable String power,
        @Nullable Map<String, String> sent) {}
