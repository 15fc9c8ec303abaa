package yokebar.core.operate.contest;

import java.util.List;
import java.util.Map;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Path;

/**
 * What a contact is worth if it meets all conditions. Of a contest's rules the first that fits counts.
 *
 * @param points for the contact
 * @param pointsPerKm for each km between the two locators, begun kilometres counted as whole ones; 0 where distance does not count
 */
public record PointRule(List<Condition> when, int points, int pointsPerKm) {

    long worth(Map<Fact, String> contact, Map<Fact, String> own) {
        return pointsPerKm == 0 ? points : pointsPerKm * kilometres(contact, own);
    }

    /** At least one; none where a locator is missing. */
    private static long kilometres(Map<Fact, String> contact, Map<Fact, String> own) {
        Locator here = Locator.read(own.getOrDefault(Fact.LOCATOR, ""));
        Locator there = Locator.read(contact.getOrDefault(Fact.LOCATOR, ""));
        if (here == null || there == null) {
            return 0;
        }
        return Math.max(
                1, (long) Math.ceil(Path.between(here.centre(), there.centre()).distanceKm()));
    }
}
