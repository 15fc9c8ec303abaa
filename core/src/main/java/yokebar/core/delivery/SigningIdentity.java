package yokebar.core.delivery;

import java.time.Instant;
import yokebar.core.call.Call;

/**
 * What a certificate lets one sign.
 *
 * @param call the own call it was issued for
 * @param validFrom first instant of contacts it covers, UTC
 * @param validUntil last instant of contacts it covers, UTC
 */
public record SigningIdentity(Call call, Instant validFrom, Instant validUntil) {
    public boolean covers(Call ownCall, Instant start) {
        return call.equals(ownCall) && !start.isBefore(validFrom) && !start.isAfter(validUntil);
    }
}
