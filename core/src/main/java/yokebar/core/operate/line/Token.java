package yokebar.core.operate.line;

import org.jspecify.annotations.Nullable;

/**
 * One piece of the line and what it was taken for.
 *
 * @param from its first character in the line, from 0
 * @param until one beyond its last
 * @param field an ADIF name, or null when it could not be understood
 * @param label what the field is called under the line
 * @param value what goes into the field
 * @param problem what is wrong with it, or null
 * @param otherwise what to write in its place if it was meant otherwise, such as {@code mode:olivia}; null when it could be
 *     nothing else
 */
public record Token(
        int from,
        int until,
        @Nullable String field,
        String label,
        String value,
        @Nullable String problem,
        @Nullable String otherwise) {}
