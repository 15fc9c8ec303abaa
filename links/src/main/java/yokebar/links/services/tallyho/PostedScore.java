package yokebar.links.services.tallyho;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * A score as it is posted.
 *
 * @param contest as in the Cabrillo log
 * @param call own call
 * @param at when it was counted, UTC
 * @param multipliers how many of each, by their names
 * @param category choices by the name of the category
 * @param club empty for none
 * @param team empty for none
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record PostedScore(
        String contest,
        String call,
        Instant at,
        long score,
        int contacts,
        long points,
        @JsonInclude Map<String, Integer> multipliers,
        List<Band> byBand,
        Map<String, String> category,
        String club,
        String team) {

    /** @param band such as {@code 20m} */
    public record Band(String band, int contacts, long points) {}
}
