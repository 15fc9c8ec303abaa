package yokebar.app.sources.hookup;

import java.time.Clock;
import org.springframework.context.SmartLifecycle;

/** A service of which there is one, coupled for as long as the application runs and the operator wants it. */
public abstract class ServiceHookup extends ServiceCoupling implements SmartLifecycle {
    private final Hookups hookups;
    private volatile boolean running;

    protected ServiceHookup(String id, Kind kind, String name, Hookups hookups, Clock clock) {
        super(id, kind, name, hookups, clock);
        this.hookups = hookups;
    }

    @Override
    public final void start() {
        running = true;
        hookups.register(this);
        if (hookups.wanted(id())) {
            connect();
        }
    }

    @Override
    public final void stop() {
        running = false;
    }

    @Override
    public final boolean isRunning() {
        return running;
    }

    /** Tests it while nobody knows whether it works: before it is needed for the first time, and after trouble until it is over. */
    protected final void testInDoubt() {
        if (inDoubt()) {
            test();
        }
    }

    /** Begins anew with other settings; without all that it needs it is off. */
    protected final void setUpAnew() {
        if (complete() && hookups.wanted(id())) {
            connect();
        } else {
            disconnect();
        }
    }
}
