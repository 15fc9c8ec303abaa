package yokebar.app.services.delivery;

import java.time.Clock;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.app.sources.hookup.Hookups;
import yokebar.app.sources.hookup.ServiceCoupling;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;

/** A service that contacts are handed to, as a coupling. */
public final class ServiceLine extends ServiceCoupling {
    private final Services services;
    private final int serviceId;

    ServiceLine(ServiceAccount account, Services services, Hookups hookups, Clock clock) {
        super(account.hookupId(), Kind.SERVICE, account.name(), hookups, clock);
        this.serviceId = account.id();
        this.services = services;
    }

    /** A call to the service. */
    public interface LineCall<T> {
        T run(ServiceAdapter.Line line) throws ServiceRefused, ServiceUnreachable;
    }

    public <T> T call(Purpose purpose, LineCall<T> call) throws ServiceRefused, ServiceUnreachable {
        ServiceAdapter.Line line = services.line(serviceId);
        return during(purpose, () -> call.run(line));
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
            return new Proof(true, call(Purpose.READ, ServiceAdapter.Line::test) + ".");
        } catch (ServiceUnreachable | ServiceRefused e) {
            return new Proof(false, String.valueOf(e.getMessage()));
        }
    }
}
