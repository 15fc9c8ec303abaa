package yokebar.core.operate.contest;

import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;

/**
 * A contact as the rules of a contest see it.
 *
 * @param id of the contact in the log
 * @param start UTC
 * @param frequencyHz null when only the band is known
 * @param facts what is known about it; only what is known
 */
public record ContestContact(
        long id,
        Instant start,
        Call call,
        Band band,
        @Nullable Long frequencyHz,
        ContestMode mode,
        Map<Fact, String> facts) {}
