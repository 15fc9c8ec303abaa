package yokebar.links.services.faircopy;

import java.time.Duration;
import java.util.List;

/** What the adjudicator says when it is asked for the report on a log. */
public sealed interface ReportAnswer {

    /**
     * The check is not over.
     *
     * @param askAfter when to ask again
     */
    record NotYet(Duration askAfter) implements ReportAnswer {}

    /**
     * The check is over.
     *
     * @param score what the log has come to
     * @param digest SHA-256 of the log that was checked, in lower-case hexadecimal digits
     * @param findings what was found, in the order of the lines
     */
    record Checked(long score, String digest, List<LineRemark> findings) implements ReportAnswer {}

    /** It does not know such a log. */
    record Unknown() implements ReportAnswer {}
}
