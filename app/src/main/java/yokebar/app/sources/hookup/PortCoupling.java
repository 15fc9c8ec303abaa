package yokebar.app.sources.hookup;

import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.device.ManagedLink;

/**
 * A port of this computer that programs send to, as a coupling: a listener is made when it is connected and closed when it is
 * not.
 *
 * @param <L> the kind of listener
 */
public abstract class PortCoupling<L extends ManagedLink> extends Coupling {
    private final Clock clock;
    private volatile @Nullable L listener;

    protected PortCoupling(String id, String name, Clock clock) {
        super(id, Kind.PROGRAM, name, clock);
        this.clock = clock;
    }

    /** Makes a listener, not yet started. */
    protected abstract L newListener();

    /** Shows that programs can reach the listener. */
    protected abstract Proof proof(L open);

    /** The listener while there is one. */
    protected final Optional<L> listener() {
        return Optional.ofNullable(listener);
    }

    @Override
    public final LinkStatus status() {
        return listener().map(ManagedLink::status).orElseGet(() -> LinkStatus.of(LinkState.OFF, clock.instant(), null));
    }

    @Override
    public final synchronized void connect() {
        if (listener == null) {
            L fresh = newListener();
            listener = fresh;
            fresh.start();
        }
    }

    @Override
    public final synchronized void disconnect() {
        Optional<L> open = listener();
        listener = null;
        open.ifPresent(ManagedLink::close);
    }

    @Override
    public final Proof test() {
        Optional<L> open = listener();
        if (open.isEmpty()) {
            return new Proof(false, "It is switched off. Connect it first.");
        }
        LinkStatus status = open.get().status();
        return status.state() == LinkState.TROUBLE
                ? new Proof(false, status.reason() + " " + status.fix())
                : proof(open.get());
    }
}
