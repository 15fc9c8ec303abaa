/**
 * Contests: their rules as data, what each contact is worth by them, and the score. A {@link
 * yokebar.core.operate.contest.ContestDefinition} is read from text by {@link yokebar.core.operate.contest.DefinitionReader};
 * {@link yokebar.core.operate.contest.ContestScore} counts.
 */
@NullMarked
package yokebar.core.operate.contest;

import org.jspecify.annotations.NullMarked;
