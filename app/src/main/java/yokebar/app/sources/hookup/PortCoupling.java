package yokebar.app.sources.hookup;

import java.time.Clock;
import java.util.Optional;
import yokebar.links.platform.status.LinkState;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.device.ManagedLink;

/**
 * A port of this computer that programs send to, as a coupling.
 *
 * @param <L> the kind of listener
 */
public abstract class PortCoupling<L extends ManagedLink> extends LinkCoupling<L> {

    protected PortCoupling(String id, String name, Clock clock) {
        super(id, Kind.PROGRAM, name, clock);
    }

    /** Shows that programs can reach the listener. */
    protected abstract Proof proof(L open);

    @Override
    public final Proof test() {
        Optional<L> open = link();
        if (open.isEmpty()) {
            return new Proof(false, "It is switched off. Connect it first.");
        }
        LinkStatus status = open.get().status();
        return status.state() == LinkState.TROUBLE
                ? new Proof(false, status.reason() + " " + status.fix())
                : proof(open.get());
    }
}
