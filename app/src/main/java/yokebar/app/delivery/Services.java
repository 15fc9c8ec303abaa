package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import java.net.URI;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.FieldProblem;
import yokebar.app.WebAddress;
import yokebar.app.safety.SecretBox;

/** The services and the operator's settings for them. */
@Service
public class Services {
    private final EntityManager db;
    private final SecretBox secrets;
    private final List<ServiceAdapter> adapters;
    private final ApplicationEventPublisher events;
    private final Map<Integer, ServiceAdapter.Line> lines = new ConcurrentSkipListMap<>();

    Services(EntityManager db, SecretBox secrets, List<ServiceAdapter> adapters, ApplicationEventPublisher events) {
        this.db = db;
        this.secrets = secrets;
        this.adapters = adapters;
        this.events = events;
    }

    /**
     * The settings as they are typed; what is left out stays.
     *
     * @param password the account's password; never given back
     */
    record Draft(
            @Nullable String address,
            @Nullable String account,
            @Nullable String password,
            @Nullable Boolean atOnce,
            @Nullable Integer fetchEverySeconds) {}

    @Transactional
    public void change(int serviceId, Draft draft) {
        ServiceRow row = row(serviceId);
        if (draft.address() != null) {
            row.address = WebAddress.checked("address", draft.address());
        }
        if (draft.account() != null) {
            row.account = draft.account().strip();
        }
        if (draft.password() != null && !draft.password().isEmpty()) {
            row.sealedPassword = secrets.seal(draft.password());
        }
        if (draft.atOnce() != null) {
            row.atOnce = draft.atOnce();
        }
        if (draft.fetchEverySeconds() != null) {
            if (draft.fetchEverySeconds() < 5 || draft.fetchEverySeconds() > 86_400) {
                throw new FieldProblem("fetchEverySeconds", "Fetch every 5 to 86 400 seconds.");
            }
            row.fetchEverySeconds = draft.fetchEverySeconds();
        }
        db.flush();
        lines.remove(serviceId);
        events.publishEvent(new LaneChanged(serviceId));
    }

    public List<Integer> ids() {
        return adapters.stream().map(ServiceAdapter::serviceId).toList();
    }

    /** Whether all that a call needs is there. */
    @Transactional(readOnly = true)
    public boolean complete(int serviceId) {
        ServiceRow row = row(serviceId);
        return row.address != null && row.account != null && row.sealedPassword != null;
    }

    @Transactional(readOnly = true)
    public String where(int serviceId) {
        String address = row(serviceId).address;
        return address == null ? "not set up" : URI.create(address).getAuthority();
    }

    /** How far confirmations have been fetched without a gap, by the time the service received them. */
    @Transactional(readOnly = true)
    public @Nullable Instant confirmationsUntil(int serviceId) {
        return row(serviceId).confirmationsUntil;
    }

    @Transactional
    public void setConfirmationsUntil(int serviceId, Instant until) {
        row(serviceId).confirmationsUntil = until;
    }

    @Transactional(readOnly = true)
    public int fetchEverySeconds(int serviceId) {
        return row(serviceId).fetchEverySeconds;
    }

    @Transactional(readOnly = true)
    ServiceRow row(int serviceId) {
        ServiceRow row = db.find(ServiceRow.class, serviceId);
        if (row == null) {
            throw new FieldProblem("service", "There is no service " + serviceId + ".");
        }
        return row;
    }

    @Transactional(readOnly = true)
    ServiceAdapter.Line line(int serviceId) {
        return lines.computeIfAbsent(serviceId, id -> {
            ServiceRow row = row(id);
            if (row.address == null || row.account == null || row.sealedPassword == null) {
                throw new IllegalStateException(row.name + " is not set up");
            }
            ServiceAdapter adapter = adapters.stream()
                    .filter(a -> a.serviceId() == id)
                    .findFirst()
                    .orElseThrow();
            return adapter.line(
                    new ServiceAdapter.Account(row.address, row.account, secrets.openText(row.sealedPassword)));
        });
    }
}
