package yokebar.core.operate.contest;

import java.util.List;

/**
 * A fact of which each new value counts: a multiplier, or what a bonus is given for.
 *
 * @param name as shown, such as {@code zones}
 * @param of what is counted
 * @param each what a value counts once for, such as each band; empty when once in the contest
 * @param when what a contact has to meet to bring one
 */
public record CountedValue(String name, Fact of, List<Fact> each, List<Condition> when) {}
