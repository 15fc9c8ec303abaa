package yokebar.links.platform.status;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * How a link is doing.
 *
 * @param since when it entered this state, UTC
 * @param attempt number of the last try since it was last well, 0 when it is well
 * @param nextAttempt when it is tried again, UTC; null when no try is planned
 * @param brief the trouble in at most four words, for where there is little room; null when nothing is wrong
 * @param reason what is wrong and why, one sentence; null when nothing is
 * @param fix what the operator can do, one sentence; null when nothing is wrong
 * @param lastData when data last came or went, UTC; null when none did
 */
public record LinkStatus(
        LinkState state,
        Instant since,
        int attempt,
        @Nullable Instant nextAttempt,
        @Nullable String brief,
        @Nullable String reason,
        @Nullable String fix,
        @Nullable Instant lastData) {

    public static LinkStatus of(LinkState state, Instant since, @Nullable Instant lastData) {
        return new LinkStatus(state, since, 0, null, null, null, null, lastData);
    }
}
