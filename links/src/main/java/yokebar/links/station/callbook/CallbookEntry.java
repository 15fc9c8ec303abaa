package yokebar.links.station.callbook;

import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a callbook says of a station.
 *
 * @param name what the operator is called
 * @param town ADIF calls it QTH
 * @param state first-level subdivision by its ADIF code
 * @param locator Maidenhead, 4 to 10 characters
 * @param confirms services the station hands its log to, with the day it did so last, UTC
 * @param picture where its picture is, below the service's address
 */
public record CallbookEntry(
        String call,
        @Nullable String name,
        @Nullable String town,
        @Nullable String state,
        @Nullable String country,
        @Nullable String locator,
        Map<String, LocalDate> confirms,
        @Nullable String picture) {}
