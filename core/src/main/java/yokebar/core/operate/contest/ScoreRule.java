package yokebar.core.operate.contest;

import java.util.Map;

/**
 * How the score comes from points and multipliers.
 *
 * @param multiplyBy what the sum of the points is multiplied by
 * @param powerFactors by which it is multiplied further, by power class such as {@code QRP}; empty where power does not count
 */
public record ScoreRule(MultiplyBy multiplyBy, Map<String, Integer> powerFactors) {

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
