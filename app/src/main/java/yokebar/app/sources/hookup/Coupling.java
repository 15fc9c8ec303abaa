package yokebar.app.sources.hookup;

import java.time.Clock;

/** What all couplings have in common: who they are, and what went through them. */
public abstract class Coupling implements Hookup {
    private final String id;
    private final Kind kind;
    private final String name;
    private final Activity activity;

    protected Coupling(String id, Kind kind, String name, Clock clock) {
        this.id = id;
        this.kind = kind;
        this.name = name;
        this.activity = new Activity(clock);
    }

    @Override
    public final String id() {
        return id;
    }

    @Override
    public final Kind kind() {
        return kind;
    }

    @Override
    public final String name() {
        return name;
    }

    @Override
    public final Activity activity() {
        return activity;
    }
}
