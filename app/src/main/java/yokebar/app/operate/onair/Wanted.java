package yokebar.app.operate.onair;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.operate.need.Want;

/** What a contact would bring to the goals, by the same rule as the list on the air. */
@Service
public class Wanted {
    private final Perspectives perspectives;

    Wanted(Perspectives perspectives) {
        this.perspectives = perspectives;
    }

    /**
     * @param credits of a contact that may be made
     * @param positionId null for the first position
     * @return the one worth most first
     */
    public List<Want> by(ContactCredits credits, @Nullable Long positionId) {
        return perspectives.of(positionId).appraiser().appraisal().wants(credits);
    }
}
