package yokebar.app.delivery;

import java.time.Clock;
import yokebar.app.hookup.Hookups;
import yokebar.app.hookup.ServiceCoupling;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** A service that contacts are handed to, as a coupling. */
final class ServiceLine extends ServiceCoupling {
    private final Services services;
    private final int serviceId;

    ServiceLine(String id, String name, int serviceId, Services services, Hookups hookups, Clock clock) {
        super(id, Kind.SERVICE, name, hookups, clock);
        this.serviceId = serviceId;
        this.services = services;
    }

    /** A call to the service. */
    interface LineCall<T> {
        T run(ServiceAdapter.Line line) throws ServiceRefused, ServiceUnreachable;
    }

    <T> T call(LineCall<T> call) throws ServiceRefused, ServiceUnreachable {
        ServiceAdapter.Line line = services.line(serviceId);
        return during(() -> call.run(line));
    }

    /** A call that hands contacts over, which may be forbidden though all else is allowed. */
    <T> T handOver(LineCall<T> call) throws ServiceRefused, ServiceUnreachable {
        ServiceAdapter.Line line = services.line(serviceId);
        return duringHandover(() -> call.run(line));
    }

    @Override
    public boolean complete() {
        return services.complete(serviceId);
    }

    @Override
    public String where() {
        return services.where(serviceId);
    }

    @Override
    public Proof test() {
        if (!complete()) {
            return new Proof(false, name() + " is not set up yet. Do it under Services.");
        }
        try {
            return new Proof(true, call(ServiceAdapter.Line::test) + ".");
        } catch (ServiceUnreachable | ServiceRefused e) {
            return new Proof(false, String.valueOf(e.getMessage()));
        }
    }
}
