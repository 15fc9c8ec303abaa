package yokebar.app.operate.onair;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An alert as it is announced.
 *
 * @param kind by the name of its choice
 * @param spotId the entry it is about; null for a bundle, and for who hears us
 * @param sentence what is said
 * @param because why it fired
 * @param tone Hz; null for none, also in quiet hours
 */
public record Alert(
        long number,
        String kind,
        Instant at,
        @Nullable Long spotId,
        String sentence,
        String because,
        boolean shown,
        @Nullable Integer tone,
        boolean spoken,
        boolean notified) {}
