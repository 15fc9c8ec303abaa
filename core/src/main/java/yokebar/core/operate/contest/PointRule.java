package yokebar.core.operate.contest;

import java.util.List;

/**
 * What a contact is worth if it meets all conditions. Of a contest's rules the first that fits counts.
 *
 * @param points for the contact
 * @param pointsPerKm for each km between the two locators, begun kilometres counted as whole ones; 0 where distance does not count
 */
public record PointRule(List<Condition> when, int points, int pointsPerKm) {}
