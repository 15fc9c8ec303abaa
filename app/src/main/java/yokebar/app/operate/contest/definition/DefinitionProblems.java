package yokebar.app.operate.contest.definition;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What came of a definition that was handed in.
 *
 * @param name of the contest, under which it is stored now; null when something has to be corrected first
 * @param problems by line; empty when it is stored
 */
record DefinitionProblems(@Nullable String name, List<ProblemView> problems) {

    /**
     * Something that has to be corrected.
     *
     * @param line counted from 1
     * @param field where in the definition it stands, such as {@code points[2].when}; empty for the text as a whole
     * @param sentence what is wrong and what would be right
     */
    record ProblemView(int line, String field, String sentence) {}
}
