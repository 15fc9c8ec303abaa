package yokebar.app.station.position;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.geo.Locator;
import yokebar.core.log.adif.AdifFields;

/**
 * What a position gives to a contact made there now.
 *
 * @param ownCall null while the station has none
 * @param placeId null when no place is chosen
 * @param fields what is put into a record that does not say it itself
 */
public record ContactSetting(@Nullable Call ownCall, @Nullable Long placeId, AdifFields fields) {

    /** Of the place, or null when it has none. */
    public @Nullable Locator locator() {
        String grid = fields.get("MY_GRIDSQUARE");
        return grid == null ? null : Locator.read(grid);
    }

    /** A record with what it did not say. */
    public AdifFields complete(AdifFields record) {
        return record.completedBy(fields);
    }
}
