package yokebar.app.log.store;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.Seal;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

/**
 * A contact as one line of the log.
 *
 * @param version counts its changes
 * @param mode what operators call it: the submode where there is one
 * @param frequencyHz own transmit frequency
 * @param more further fields that were asked for, by their ADIF names
 */
public record LogLine(
        long id,
        int version,
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
        List<Seal> seals,
        Map<String, String> more) {

    /** @param columns ADIF names of fields to give besides */
    static LogLine of(ContactRow row, List<Seal> seals, Collection<String> columns, EntityFields entities) {
        AdifFields all = columns.isEmpty() && row.country != null
                ? AdifFields.EMPTY
                : entities.complete(ContactColumns.contact(row));
        return new LogLine(
                row.number(),
                row.version,
                row.ownCall,
                row.callSign,
                row.startedAt,
                row.band,
                row.frequencyHz,
                new Mode(row.mode, row.submode).label(),
                row.reportSent,
                row.reportReceived,
                row.name,
                row.country == null ? all.get("COUNTRY") : row.country,
                row.locator,
                row.propagation,
                seals,
                columns.isEmpty() ? Map.of() : more(all, columns));
    }

    private static Map<String, String> more(AdifFields fields, Collection<String> columns) {
        Map<String, String> more = new TreeMap<>();
        for (String column : columns) {
            String value = fields.get(column);
            if (value != null) {
                more.put(column, value);
            }
        }
        return more;
    }
}
