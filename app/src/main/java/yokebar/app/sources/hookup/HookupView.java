package yokebar.app.sources.hookup;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;

/**
 * A coupling as the interface shows it.
 *
 * @param complete whether it has all that a connection needs; else it is to be set up first
 */
public record HookupView(
        String id,
        Hookup.Kind kind,
        String name,
        String where,
        boolean complete,
        LinkState state,
        Instant since,
        int attempt,
        @Nullable Instant nextAttempt,
        @Nullable String brief,
        @Nullable String reason,
        @Nullable String fix,
        @Nullable Instant lastData,
        @Nullable String lastEvent,
        int lastMinute) {

    public static HookupView of(Hookup hookup) {
        LinkStatus status = hookup.status();
        return new HookupView(
                hookup.id(),
                hookup.kind(),
                hookup.name(),
                hookup.where(),
                hookup.complete(),
                status.state(),
                status.since(),
                status.attempt(),
                status.nextAttempt(),
                status.brief(),
                status.reason(),
                status.fix(),
                status.lastData(),
                hookup.activity().lastEvent(),
                hookup.activity().lastMinute());
    }
}
