package yokebar.app.station.callbook;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What callbooks say of a station.
 *
 * @param locator null when it is not known, or when the station is away from home
 * @param confirms the services it hands its log to, and how lately
 * @param picture whether there is one
 * @param answeredAt when the callbook on the network was asked, UTC; null when all of it is from the file
 */
public record KnownStation(
        @Nullable String name,
        @Nullable String town,
        @Nullable String state,
        @Nullable String country,
        @Nullable String locator,
        List<ConfirmingService> confirms,
        boolean picture,
        @Nullable Instant answeredAt) {

    /** @param lastUpload ISO day of the last log it handed in, UTC */
    public record ConfirmingService(String service, String lastUpload) {}
}
