package yokebar.standins.world;

import java.time.Duration;
import org.jspecify.annotations.Nullable;

/**
 * A made-up station.
 *
 * @param locator six characters
 * @param entityCode ADIF entity code
 * @param confirmsAfter how long it takes to give its log to the confirmation service, at the world's own pace; null when it
 *     never does
 */
public record Station(
        String call,
        String name,
        String country,
        String locator,
        int entityCode,
        String continent,
        int cqZone,
        int powerW,
        @Nullable Duration confirmsAfter) {}
