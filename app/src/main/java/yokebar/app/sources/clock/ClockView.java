package yokebar.app.sources.clock;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What the last check of the clock found.
 *
 * @param hookup the coupling to the time server
 * @param server null when none is set
 * @param behindMs how far this computer's clock is behind, ms; negative when it is ahead; null when that is not known
 * @param sentence what it means, once it is worth saying
 */
public record ClockView(
        String hookup,
        @Nullable String server,
        @Nullable Instant checkedAt,
        @Nullable Long behindMs,
        @Nullable String sentence) {}
