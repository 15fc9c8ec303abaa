package yokebar.core.operate.contest;

import java.util.List;

/**
 * What one contact is worth.
 *
 * @param points 0 when it does not count
 * @param multipliers names of the multipliers it was the first to bring
 * @param bonus points that are not multiplied
 */
public record Verdict(Outcome outcome, long points, List<String> multipliers, long bonus) {}
