package yokebar.core.log.contact;

import java.util.List;
import java.util.stream.Collectors;

/** What came of reading a contact from ADIF fields. */
public sealed interface Reading {

    /**
     * @param notices what was odd but could be lived with, for the journal
     */
    record Readable(Contact contact, List<Problem> notices) implements Reading {}

    /**
     * @param problems at least one
     */
    record Unreadable(List<Problem> problems) implements Reading {
        /** All problems in one line. */
        public String sentence() {
            return problems.stream().map(Problem::sentence).collect(Collectors.joining(" "));
        }
    }
}
