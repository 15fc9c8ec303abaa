package yokebar.core.operate.contest;

import java.util.Map;

/**
 * How the score comes from points and multipliers.
 *
 * @param multiplyBy what the sum of the points is multiplied by
 * @param powerFactors by which it is multiplied further, by power class such as {@code QRP}; empty where power does not count
 */
public record ScoreRule(MultiplyBy multiplyBy, Map<String, Integer> powerFactors) {

    /**
     * @param multipliers how many of each there are, by name
     * @param power the power class; one without a factor counts once
     * @param bonus added at the end
     */
    public long total(long points, Map<String, Integer> multipliers, String power, long bonus) {
        long factor =
                switch (multiplyBy) {
                    case NOTHING -> 1;
                    case SUM ->
                        multipliers.values().stream()
                                .mapToLong(Integer::longValue)
                                .sum();
                    case PRODUCT ->
                        multipliers.values().stream()
                                .mapToLong(Integer::longValue)
                                .reduce(1, (a, b) -> a * b);
                };
        return points * factor * powerFactors.getOrDefault(power, 1) + bonus;
    }

    /** What the sum of the points is multiplied by. */
    public enum MultiplyBy {
        /** Nothing: the points are the score. */
        NOTHING,
        /** All multipliers together. */
        SUM,
        /** The number of each multiplier, one after the other. */
        PRODUCT
    }
}
