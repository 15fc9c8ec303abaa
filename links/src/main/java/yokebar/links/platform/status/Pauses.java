package yokebar.links.platform.status;

import java.time.Duration;

/**
 * Growing pauses between tries: each is twice the one before, up to a cap.
 *
 * @param first pause after the first failed try
 * @param longest no pause is longer
 */
public record Pauses(Duration first, Duration longest) {

    /** @param failedTries at least 1 */
    public Duration after(int failedTries) {
        int doublings = Math.min(failedTries - 1, 30);
        long millis = Math.min(first.toMillis() << doublings, longest.toMillis());
        return Duration.ofMillis(millis < 0 ? longest.toMillis() : millis);
    }
}
