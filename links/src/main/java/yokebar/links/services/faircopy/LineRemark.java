package yokebar.links.services.faircopy;

import org.jspecify.annotations.Nullable;

/**
 * What the adjudicator says of a line of a log.
 *
 * @param line of the log as it was handed in, from 1
 * @param words what is wrong, at most 300 characters
 * @param rightCall the call that should stand there; null when the adjudicator names none
 * @param pointsLost 0 or more
 */
public record LineRemark(int line, String words, @Nullable String rightCall, long pointsLost) {}
