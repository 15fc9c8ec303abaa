package yokebar.links.services.delivery;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.platform.web.WebService;

/**
 * What a report says of each record of a batch. Only the words the protocol has count; and a refusal must name its record by its
 * number in the batch, from 1, so that a report out of step refuses nothing.
 *
 * @param taken the words for a record that the service has now
 * @param refused the word for one that it does not want
 */
public record RecordResults(WebService web, Set<String> taken, String refused) {

    /** @throws ServiceUnreachable when an entry is not as the protocol has it; nothing of the report counts then */
    public List<BatchReport.Result> of(JsonNode entries) throws ServiceUnreachable {
        List<BatchReport.Result> results = new ArrayList<>();
        for (JsonNode entry : entries) {
            int place = results.size() + 1;
            String result = web.text(entry, "result");
            JsonNode record = entry.path("record");
            boolean named = record.isInt() && record.asInt() == place;
            if (!record.isMissingNode() && !named) {
                throw web.nonsense("reported on record " + record + " in the place of record " + place, null);
            }
            if (taken.contains(result)) {
                results.add(BatchReport.Result.taken(null));
            } else if (!result.equals(refused)) {
                throw web.nonsense("reported \"" + result + "\", which its protocol does not know", null);
            } else if (!named) {
                throw web.nonsense("refused a record without saying which", null);
            } else {
                results.add(BatchReport.Result.refused(entry.path("words").asString(refused)));
            }
        }
        return results;
    }
}
