package yokebar.app.log.search;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.log.index.Found;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.index.Order;
import yokebar.core.log.index.Search;
import yokebar.core.log.index.SearchText;

/**
 * What somebody wants of the log, as the address says it.
 *
 * @param search as typed into the search box; the whole log when left out
 * @param sort a field's name; by start when left out
 * @param descending the last first; the default is the newest first
 */
public record Query(@Nullable String search, @Nullable String sort, @Nullable Boolean descending) {
    private static final int LONGEST_SEARCH = 400;

    public static Query of(@Nullable String search) {
        return new Query(search, null, null);
    }

    /** The same, but the oldest first unless somebody said otherwise, as in files. */
    Query oldestFirst() {
        return new Query(search, sort, descending != null && descending);
    }

    /** @throws Rejection when it is longer than the limit */
    Search read(LogIndex index) {
        String text = search == null ? "" : search;
        if (text.length() > LONGEST_SEARCH) {
            throw new Rejection("search", "A search has at most " + LONGEST_SEARCH + " characters.");
        }
        return SearchText.read(text, index::hasField);
    }

    /**
     * What it finds, for a change, a deletion or an export.
     *
     * @throws Rejection when a word of it cannot be understood
     */
    public Found demanded(LogIndex index) {
        Search read = read(index);
        if (!read.problems().isEmpty()) {
            throw new Rejection("search", String.join(" ", read.problems()));
        }
        return index.search(read, order());
    }

    Order order() {
        return new Order(
                sort == null || sort.isBlank() ? Order.START : sort.toUpperCase(Locale.ROOT),
                descending == null || descending);
    }

    Found in(LogIndex index) {
        return index.search(read(index), order());
    }
}
