package yokebar.core.platform.definition;

/**
 * Something in the text of a definition that has to be corrected.
 *
 * @param line counted from 1
 * @param field where in the definition it stands, such as {@code points[2].when}; empty for the text as a whole
 * @param sentence one sentence: what is wrong and what would be right
 */
public record DefinitionProblem(int line, String field, String sentence) {}
