package yokebar.app.log;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Contacts chosen in the log: those named, or all a search finds.
 *
 * @param ids their numbers; null to take all that the search finds
 * @param search as typed into the search box
 */
public record Selection(@Nullable List<Long> ids, @Nullable String search) {}
