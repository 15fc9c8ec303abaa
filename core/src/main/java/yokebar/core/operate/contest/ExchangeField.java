package yokebar.core.operate.contest;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One piece of what the stations of a contest send each other.
 *
 * @param name by which rules call it, such as {@code zone}
 * @param kind what it looks like and where it is found in a contact that came without an exchange
 * @param allowed the values it can have, in capitals; empty when the kind alone decides
 * @param width characters in a line of the Cabrillo log
 * @param sentBy which stations send it: those that meet all of these; every station when empty
 */
public record ExchangeField(String name, ExchangeKind kind, Set<String> allowed, int width, List<Condition> sentBy) {

    /** @param sender what is known of the station that sends */
    public boolean isSentBy(Map<Fact, String> sender) {
        return sentBy.stream().allMatch(condition -> condition.holds(sender, sender));
    }

    /** Whether a word, in capitals, can stand in it. */
    public boolean takes(String word) {
        return kind.takes(word) && (allowed.isEmpty() || allowed.contains(word));
    }
}
