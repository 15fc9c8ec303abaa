package yokebar.core.services.confirm;

import java.time.Instant;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;

/**
 * What a service says both sides agree on.
 *
 * @param ownCall our call
 * @param call the other station's
 * @param start UTC, as the other side logged it
 */
public record ConfirmedRecord(Call ownCall, Call call, Band band, Mode mode, Instant start) {}
