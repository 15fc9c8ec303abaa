package yokebar.app.services.delivery;

import java.time.Clock;
import java.time.Duration;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.hookup.ServiceCoupling.Purpose;
import yokebar.core.services.confirm.FetchPlan;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.ConfirmationPage;

/** The lines to the services in use, as couplings. */
@Component
public class ServiceLines {
    private static final int LET_GO_EVERY_MS = 100;

    private final Services services;
    private final Hookups hookups;
    private final Clock clock;
    private final Map<Integer, ServiceLine> lines = new ConcurrentHashMap<>();

    ServiceLines(Services services, Hookups hookups, Clock clock) {
        this.services = services;
        this.hookups = hookups;
        this.clock = clock;
    }

    /** Whether a coupling is that of a service. */
    public boolean isOne(String hookupId) {
        return lines.values().stream().anyMatch(line -> line.id().equals(hookupId));
    }

    public void couple(int serviceId) {
        ServiceLine line = new ServiceLine(services.account(serviceId), services, hookups, clock);
        lines.put(serviceId, line);
        hookups.register(line);
        if (hookups.wanted(line.id())) {
            line.connect();
        }
    }

    /**
     * The settings of a service changed: its line comes, goes or is tried anew.
     *
     * @return whether there is a line now
     */
    public boolean adjust(int serviceId) {
        if (services.rules(serviceId).byHand()) {
            return false;
        }
        ServiceLine line = lines.get(serviceId);
        if (!services.setup(serviceId).inUse()) {
            if (line != null) {
                lines.remove(serviceId);
                line.disconnect();
                hookups.forget(line);
                hookups.changed(line.id());
            }
            return false;
        }
        if (line == null) {
            couple(serviceId);
            line = line(serviceId);
        }
        if (hookups.wanted(line.id())) {
            line.connect();
        }
        return true;
    }

    public Optional<ServiceLine> coupled(int serviceId) {
        return Optional.ofNullable(lines.get(serviceId));
    }

    /** @throws NullPointerException when the service is not in use; whoever asks has found it coupled before */
    public ServiceLine line(int serviceId) {
        return Objects.requireNonNull(lines.get(serviceId), "the service is in use");
    }

    /** Lets go of every answer that is being waited for. */
    void giveUpWaiting() {
        lines.values().forEach(ServiceLine::giveUpWaiting);
    }

    /**
     * Ends threads that ask services, because Yokebar ends: takes no new work and lets go of what is waited for, again and
     * again, as one that was about to ask would wait on.
     *
     * @param within how long they have to write down how it went
     */
    public void end(ExecutorService askers, Duration within) {
        askers.shutdown();
        long until = System.nanoTime() + within.toNanos();
        try {
            do {
                giveUpWaiting();
            } while (!askers.awaitTermination(LET_GO_EVERY_MS, TimeUnit.MILLISECONDS) && System.nanoTime() < until);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Whether something can be read at a service now. */
    public boolean canRead(int serviceId) {
        return ready(serviceId, Purpose.READ);
    }

    /** Whether a service can be called for that now. */
    public boolean ready(int serviceId, Purpose purpose) {
        ServiceLine line = lines.get(serviceId);
        return line != null && line.ready(purpose) && services.complete(serviceId);
    }

    /** Fetches a page of confirmations over the service's line, so that its state shows how that went. */
    public ConfirmationPage confirmations(int serviceId, FetchPlan.Window window, @Nullable String page)
            throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(Purpose.READ, line -> line.confirmations(window, page));
    }

    /** The service answered in a way that cannot be gone on with; its lane says so. */
    public void broken(int serviceId, ServiceUnreachable trouble) throws ServiceRefused, ServiceUnreachable {
        line(serviceId).call(Purpose.READ, line -> {
            throw trouble;
        });
    }

    /** Something worth knowing happened; the lane shows it as the last thing that did. */
    public void happened(int serviceId, String event) {
        line(serviceId).moved(0, event);
    }

    /** The picture of a card. */
    public byte[] picture(int serviceId, String path) throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(Purpose.READ, line -> line.picture(path));
    }

    /** The calls that used the service lately, with the day, ISO 8601. */
    public Map<String, String> members(int serviceId) throws ServiceRefused, ServiceUnreachable {
        return line(serviceId).call(Purpose.READ, ServiceAdapter.Line::members);
    }
}
