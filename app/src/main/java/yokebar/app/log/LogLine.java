package yokebar.app.log;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.mode.Mode;

/**
 * A contact as one line of the log.
 *
 * @param mode what operators call it: the submode where there is one
 * @param frequencyHz own transmit frequency
 */
public record LogLine(
        long id,
        String ownCall,
        String call,
        Instant start,
        String band,
        @Nullable Long frequencyHz,
        String mode,
        @Nullable String reportSent,
        @Nullable String reportReceived,
        @Nullable String name,
        @Nullable String country,
        @Nullable String locator,
        @Nullable String propagation,
        List<Seal> seals) {

    static LogLine of(ContactRow row, List<Seal> seals) {
        return new LogLine(
                row.id == null ? 0 : row.id,
                row.ownCall,
                row.callSign,
                row.startedAt,
                row.band,
                row.frequencyHz,
                new Mode(row.mode, row.submode).label(),
                row.reportSent,
                row.reportReceived,
                row.name,
                row.country,
                row.locator,
                row.propagation,
                seals);
    }
}
