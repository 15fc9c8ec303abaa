package yokebar.core.basics.entity;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.geo.Point;

/**
 * A country or territory that counts by itself for awards.
 *
 * @param number of ADIF's country-code list
 * @param continent ADIF's two letters
 * @param cqZone 1 to 40, where most of it lies
 * @param ituZone 1 to 90, where most of it lies
 * @param centre roughly its middle
 * @param lastDay the last day contacts with it counted, UTC; null while they do
 */
public record Entity(
        int number, String name, String continent, int cqZone, int ituZone, Point centre, @Nullable LocalDate lastDay) {

    public boolean counts(LocalDate day) {
        return lastDay == null || !day.isAfter(lastDay);
    }
}
