package yokebar.core.log.index;

import java.util.List;

/**
 * What a search box says.
 *
 * @param conditions all of them hold
 * @param problems sentences about words that could not be understood; a search with one of them finds nothing
 */
public record Search(List<Condition> conditions, List<String> problems) {
    public static final Search ALL = new Search(List.of(), List.of());
}
