package yokebar.app.operate.contest.definition;

import java.util.List;
import yokebar.core.operate.contest.limit.Category;

/**
 * A choice of which each participant makes one.
 *
 * @param name such as {@code operator}
 * @param choices such as {@code SINGLE-OP}; the first is the usual one
 * @param optional whether it may be left open, as an overlay
 */
public record CategoryView(String name, List<String> choices, boolean optional) {

    public static CategoryView of(Category category) {
        return new CategoryView(category.name(), List.copyOf(category.choices()), category.optional());
    }
}
