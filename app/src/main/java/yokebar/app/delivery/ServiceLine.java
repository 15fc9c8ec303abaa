package yokebar.app.delivery;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.app.hookup.Coupling;
import yokebar.app.hookup.Hookups;
import yokebar.links.status.LinkState;
import yokebar.links.status.LinkStatus;
import yokebar.links.status.Pauses;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** A service as a coupling: how the last call to it went decides its state. */
final class ServiceLine extends Coupling {
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(10));
    /** A refused account is asked about again only now and then: the operator has to act first. */
    private static final Duration AFTER_REFUSAL = Duration.ofMinutes(15);

    private final Services services;
    private final int serviceId;
    private final Hookups hookups;
    private final Clock clock;
    private volatile LinkStatus status;

    ServiceLine(String id, String name, int serviceId, Services services, Hookups hookups, Clock clock) {
        super(id, Kind.SERVICE, name, clock);
        this.serviceId = serviceId;
        this.services = services;
        this.hookups = hookups;
        this.clock = clock;
        this.status = LinkStatus.of(LinkState.OFF, clock.instant(), null);
    }

    /** A call to the service. */
    interface Call<T> {
        T run(ServiceAdapter.Line line) throws ServiceRefused, ServiceUnreachable;
    }

    /**
     * Makes a call and takes its outcome as the state of the coupling. The growing pause starts over only after a proper
     * answer.
     */
    <T> T call(Call<T> call) throws ServiceRefused, ServiceUnreachable {
        ServiceAdapter.Line line = services.line(serviceId);
        try {
            T answer = call.run(line);
            Instant now = clock.instant();
            boolean news = status.state() != LinkState.LIVE;
            status = LinkStatus.of(LinkState.LIVE, news ? now : status.since(), now);
            if (news) {
                hookups.changed(id());
            }
            return answer;
        } catch (ServiceUnreachable e) {
            trouble(e.brief(), e.getMessage(), e.fix(), null);
            throw e;
        } catch (ServiceRefused e) {
            if (e.about() == ServiceRefused.About.ACCOUNT) {
                trouble(e.brief(), e.getMessage(), e.fix(), AFTER_REFUSAL);
            }
            throw e;
        }
    }

    private void trouble(String brief, @Nullable String reason, String fix, @Nullable Duration fixedPause) {
        Instant now = clock.instant();
        LinkStatus before = status;
        int attempt = before.attempt() + 1;
        Duration pause = fixedPause == null ? PAUSES.after(attempt) : fixedPause;
        boolean still = before.state() == LinkState.TROUBLE;
        status = new LinkStatus(
                LinkState.TROUBLE,
                still ? before.since() : now,
                attempt,
                now.plus(pause),
                brief,
                reason,
                fix,
                before.lastData());
        hookups.changed(id());
    }

    /** Whether a call may be made now: connected, and no pause is running. */
    boolean ready() {
        LinkStatus now = status;
        Instant next = now.nextAttempt();
        return now.state() != LinkState.OFF && (next == null || !next.isAfter(clock.instant()));
    }

    /** Forgets a running pause, because the operator asked or changed something. */
    void hurry() {
        LinkStatus now = status;
        if (now.state() == LinkState.TROUBLE) {
            status = new LinkStatus(
                    now.state(),
                    now.since(),
                    now.attempt(),
                    clock.instant(),
                    now.brief(),
                    now.reason(),
                    now.fix(),
                    now.lastData());
        }
    }

    /** Notes what went over the line, for the interface. */
    void moved(int contacts, String event) {
        activity().moved(contacts, event);
        hookups.changed(id());
    }

    @Override
    public String where() {
        return services.where(serviceId);
    }

    @Override
    public LinkStatus status() {
        return status;
    }

    @Override
    public Proof test() {
        if (!services.complete(serviceId)) {
            return new Proof(
                    false, name() + " is not set up: address, account and password are needed. Do it under Services.");
        }
        try {
            return new Proof(true, call(ServiceAdapter.Line::test) + ".");
        } catch (ServiceUnreachable | ServiceRefused e) {
            return new Proof(false, String.valueOf(e.getMessage()));
        }
    }

    @Override
    public void connect() {
        if (services.complete(serviceId)) {
            status = LinkStatus.of(LinkState.STARTING, clock.instant(), status.lastData());
        }
        hookups.changed(id());
    }

    @Override
    public void disconnect() {
        status = LinkStatus.of(LinkState.OFF, clock.instant(), status.lastData());
        hookups.changed(id());
    }
}
