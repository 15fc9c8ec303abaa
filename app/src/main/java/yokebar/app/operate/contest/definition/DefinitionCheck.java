package yokebar.app.operate.contest.definition;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a definition says as it is written now.
 *
 * @param definition null while something has to be corrected
 * @param rules what counts and how much, in sentences; empty while something has to be corrected
 * @param problems by line
 */
record DefinitionCheck(
        @Nullable DefinitionView definition, List<String> rules, List<DefinitionProblems.ProblemView> problems) {}
