package yokebar.app.operate.net;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.core.operate.net.CheckInMark;

/**
 * What is corrected of a check-in; what is null stays as it is, and an empty text takes it away.
 *
 * @param via the station that relays it
 * @param marks what it says of itself, all of it
 */
record CheckInDraft(
        @Nullable String call,
        @Nullable String name,
        @Nullable String via,
        @Nullable Set<CheckInMark> marks,
        @Nullable String sent,
        @Nullable String received,
        @Nullable String note) {}
