package yokebar.app.operate.contest.adjudicator;

import jakarta.persistence.Embeddable;
import org.jspecify.annotations.Nullable;

/** What the adjudicator said of a line, with the contact that stood there. */
@Embeddable
class RemarkPart {
    int line;

    /** Null for a line that is of no contact. */
    @Nullable
    Long contactId;

    String words = "";

    @Nullable
    String rightCall;

    long pointsLost;
}
