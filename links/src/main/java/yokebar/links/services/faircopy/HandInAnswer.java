package yokebar.links.services.faircopy;

import java.time.Duration;
import java.util.List;

/** What the adjudicator says when a log is handed in. */
public sealed interface HandInAnswer {

    /**
     * It has the log.
     *
     * @param receipt under which it is known there
     * @param words a sentence; empty for none
     * @param askAfter when to ask for the report
     */
    record Taken(String receipt, String words, Duration askAfter) implements HandInAnswer {}

    /**
     * It does not take the log.
     *
     * @param words why, without the point at the end
     * @param lines what is wrong where, as far as it says so
     */
    record NotTaken(String words, List<LineRemark> lines) implements HandInAnswer {}
}
