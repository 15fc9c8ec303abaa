package yokebar.app.sources.hookup;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.sources.device.ManagedLink;

/**
 * A device, or a program that is connected to like one, as a coupling.
 *
 * @param <L> the kind of link
 */
public final class DeviceHookup<L extends ManagedLink> extends LinkCoupling<L> {
    private static final Duration TEST_WITHIN = Duration.ofSeconds(4);
    private static final long LOOK_EVERY_MS = 50;

    private final String where;
    private final Supplier<L> links;
    private final Function<L, Optional<String>> proof;
    private final Runnable changed;

    /**
     * @param where its address in words
     * @param links makes a link, not yet started
     * @param proof a sentence that shows the device answers, once it does
     * @param changed to be run when it was connected or disconnected
     */
    public DeviceHookup(
            String id,
            Kind kind,
            String name,
            String where,
            Clock clock,
            Supplier<L> links,
            Function<L, Optional<String>> proof,
            Runnable changed) {
        super(id, kind, name, clock);
        this.where = where;
        this.links = links;
        this.proof = proof;
        this.changed = changed;
    }

    public boolean live() {
        return status().state().works();
    }

    @Override
    public String where() {
        return where;
    }

    @Override
    protected L newLink() {
        return links.get();
    }

    @Override
    protected void disconnected(@Nullable L closed) {
        changed.run();
    }

    @Override
    public Proof test() {
        Optional<L> open = link();
        if (open.isEmpty()) {
            return new Proof(false, "It is switched off. Connect it first.");
        }
        open.get().hurry();
        long until = System.nanoTime() + TEST_WITHIN.toNanos();
        do {
            Optional<String> answered =
                    open.get().status().state().works() ? proof.apply(open.get()) : Optional.empty();
            if (answered.isPresent()) {
                return new Proof(true, answered.get());
            }
        } while (System.nanoTime() < until && pause());
        LinkStatus status = open.get().status();
        return new Proof(
                false,
                status.reason() == null ? name() + " has not answered yet." : status.reason() + " " + status.fix());
    }

    private static boolean pause() {
        try {
            Thread.sleep(LOOK_EVERY_MS);
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
