package yokebar.core.operate.contest;

/**
 * Points that are added when everything else is multiplied.
 *
 * @param points for each new value
 */
public record Bonus(CountedValue value, int points) {}
