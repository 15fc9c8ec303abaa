package yokebar.app.log;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Contacts chosen in the log: those named, or all a search finds but some.
 *
 * @param ids their numbers; null to take what the search finds
 * @param search as typed into the search box; empty for the whole log, null for nothing
 * @param except numbers of those that the search finds and that are not chosen
 */
public record Selection(@Nullable List<Long> ids, @Nullable String search, @Nullable List<Long> except) {}
