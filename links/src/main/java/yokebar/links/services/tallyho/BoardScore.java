package yokebar.links.services.tallyho;

import java.time.Instant;
import java.util.Map;

/**
 * A station on the scoreboard.
 *
 * @param call of the station
 * @param score what it has come to
 * @param at when its score was counted, UTC
 * @param contacts 0 when not told
 * @param multipliers how many of each, by their names
 * @param category choices by the name of the category
 * @param club empty for none
 * @param team empty for none
 * @param continent such as {@code EU}; empty when not told
 */
public record BoardScore(
        String call,
        long score,
        Instant at,
        int contacts,
        Map<String, Integer> multipliers,
        Map<String, String> category,
        String club,
        String team,
        String continent) {}
