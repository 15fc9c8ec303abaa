package yokebar.app.sources.hookup;

import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.device.ManagedLink;

/**
 * A coupling with a link of its own: the link is made when it is connected and closed when it is not.
 *
 * @param <L> the kind of link
 */
public abstract class LinkCoupling<L extends ManagedLink> extends Coupling {
    private final Clock clock;
    private volatile @Nullable L link;

    protected LinkCoupling(String id, Kind kind, String name, Clock clock) {
        super(id, kind, name, clock);
        this.clock = clock;
    }

    /** Makes a link, not yet started. */
    protected abstract L newLink();

    /**
     * It was disconnected.
     *
     * @param closed the link that was closed; null when there was none
     */
    protected void disconnected(@Nullable L closed) {}

    /** The link while there is one. */
    public final Optional<L> link() {
        return Optional.ofNullable(link);
    }

    @Override
    public final LinkStatus status() {
        return link().map(ManagedLink::status).orElseGet(() -> LinkStatus.of(LinkState.OFF, clock.instant(), null));
    }

    @Override
    public final synchronized void connect() {
        L open = link;
        if (open == null) {
            L fresh = newLink();
            link = fresh;
            fresh.start();
        } else {
            open.hurry();
        }
    }

    @Override
    public final void disconnect() {
        L open;
        synchronized (this) {
            open = link;
            link = null;
        }
        // Closing waits for the link's thread, which may be asking for the link.
        if (open != null) {
            open.close();
        }
        disconnected(open);
    }
}
