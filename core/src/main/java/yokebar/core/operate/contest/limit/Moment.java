package yokebar.core.operate.contest.limit;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;

/**
 * When and where a contact was made.
 *
 * @param id of the contact in the log; of two in one second the lower was first
 * @param start UTC
 * @param frequencyHz null when only the band is known; then nobody can say that it was made in the same place
 */
public record Moment(long id, Instant start, Band band, @Nullable Long frequencyHz) {}
