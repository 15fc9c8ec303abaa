package yokebar.core.services.delivery;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;

/**
 * What a certificate lets one sign.
 *
 * @param call the own call it was issued for
 * @param validFrom first instant of contacts it covers, UTC
 * @param validUntil last instant of contacts it covers, UTC
 * @param certificateEnds after this instant it signs nothing more, UTC; null when that is not known
 */
public record SigningIdentity(Call call, Instant validFrom, Instant validUntil, @Nullable Instant certificateEnds) {
    private static final Duration RENEWED_BEFORE = Duration.ofDays(60);

    public boolean covers(Call ownCall, Instant start) {
        return call.equals(ownCall) && !start.isBefore(validFrom) && !start.isAfter(validUntil);
    }

    /** Whether it covers the same contacts as another one. */
    public boolean coversTheSame(SigningIdentity other) {
        return call.equals(other.call) && validFrom.equals(other.validFrom) && validUntil.equals(other.validUntil);
    }

    public boolean signsAt(Instant now) {
        return certificateEnds == null || certificateEnds.isAfter(now);
    }

    /** Whether its certificate ends so soon that it is time to ask for the next one; letters take weeks. */
    public boolean isToBeRenewed(Instant now) {
        return certificateEnds != null && certificateEnds.isBefore(now.plus(RENEWED_BEFORE));
    }
}
