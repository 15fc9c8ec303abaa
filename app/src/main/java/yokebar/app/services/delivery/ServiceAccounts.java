package yokebar.app.services.delivery;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.core.log.index.LogFields;
import yokebar.core.services.delivery.DeliveryState;

/** Which accounts there are at which services. */
@Service
public class ServiceAccounts {
    private static final int LONGEST_NAME = 40;

    private final EntityManager db;
    private final List<ServiceAdapter> kinds;
    private final ApplicationEventPublisher events;
    private final RowCache<String, Known> known = new RowCache<>();

    ServiceAccounts(EntityManager db, List<ServiceAdapter> kinds, ApplicationEventPublisher events) {
        this.db = db;
        this.kinds = kinds;
        this.events = events;
    }

    private record Known(List<ServiceAccount> accounts, Map<Integer, String> names) {}

    /** In the order in which they were added. */
    public List<ServiceAccount> all() {
        return known().accounts();
    }

    /** Their names by id; the same map until there is another account. */
    public Map<Integer, String> names() {
        return known().names();
    }

    /** @throws Rejection when there is no such account */
    public ServiceAccount get(int id) {
        return all().stream()
                .filter(account -> account.id() == id)
                .findFirst()
                .orElseThrow(() -> new Rejection("service", "There is no service " + id + "."));
    }

    /** The one that stands for paper cards. */
    public ServiceAccount paper() {
        return all().stream()
                .filter(account -> account.rules().byHand())
                .findFirst()
                .orElseThrow();
    }

    /** The kinds of services that there can be another account at, by name. */
    public List<String> kinds() {
        return kinds.stream()
                .filter(kind -> !kind.rules().byHand())
                .map(kind -> kind.rules().serviceName())
                .sorted()
                .toList();
    }

    /**
     * Adds an account, not in use yet.
     *
     * @param kind one of {@link #kinds()}
     * @param name as it is shown, and searched for without its blanks
     * @return its id
     */
    @Transactional
    public int add(String kind, String name) {
        if (!kinds().contains(kind)) {
            throw new Rejection(
                    "kind", "\"" + kind + "\" is not a kind of service. Choose " + String.join(", ", kinds()) + ".");
        }
        ServiceRow row = new ServiceRow();
        row.name = checked(name.strip());
        row.id = ((Number) db.createNativeQuery("select next value for service_seq")
                        .getSingleResult())
                .intValue();
        row.kind = kind;
        row.hookupId = kind.toLowerCase(Locale.ROOT) + "-" + row.id;
        row.fetchEverySeconds = rowOfKind(kind).fetchEverySeconds;
        db.persist(row);
        db.flush();
        for (DeliveryState state : DeliveryState.values()) {
            db.createNativeQuery("insert into delivery_tally (service_id, state, contacts) values (:id, :state, 0)")
                    .setParameter("id", row.id)
                    .setParameter("state", state.name())
                    .executeUpdate();
        }
        changed(row.id);
        return row.id;
    }

    /** Removes an account through which nothing ever went. What proves contacts must stay. */
    @Transactional
    public void remove(int id) {
        String why = whyItStays(id);
        if (why != null) {
            throw new Rejection("service", why);
        }
        for (String table :
                List.of("delivery", "delivery_past", "delivery_tally", "signing_identity", "identity_request")) {
            db.createNativeQuery("delete from " + table + " where service_id = :id")
                    .setParameter("id", id)
                    .executeUpdate();
        }
        db.remove(db.find(ServiceRow.class, id));
        changed(id);
    }

    /** Why an account cannot be removed, in a sentence; null when it can. */
    @Nullable
    String whyItStays(int id) {
        ServiceAccount account = get(id);
        ServiceRow row = db.find(ServiceRow.class, id);
        if (all().stream().filter(other -> other.kind() == account.kind()).count() == 1) {
            return account.name() + " is the only one of its kind and stays. Take it out of use.";
        }
        if (row.inUse) {
            return account.name() + " is in use. Take it out of use before you remove it.";
        }
        if (row.confirmationsUntil != null || anyHandover(id)) {
            return account.name()
                    + " has taken contacts or confirmed some, and that is kept, so the account stays, out of use.";
        }
        return null;
    }

    private boolean anyHandover(int id) {
        return !db.createQuery("select id from Handover where serviceId = :id", Long.class)
                .setParameter("id", id)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    private ServiceRow rowOfKind(String kind) {
        return db.createQuery("from ServiceRow where kind = :kind order by id", ServiceRow.class)
                .setParameter("kind", kind)
                .setMaxResults(1)
                .getSingleResult();
    }

    private String checked(String name) {
        String field = LogFields.ofService(name);
        if (field.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Rejection("name", "Give the account a name of 1 to " + LONGEST_NAME + " characters.");
        }
        if (LogFields.isTaken(field)) {
            throw new Rejection("name", "\"" + name + "\" is a field of the log. Choose another name.");
        }
        if (names().values().stream().map(LogFields::ofService).anyMatch(field::equals)) {
            throw new Rejection("name", "There is an account of this name already. Choose another name.");
        }
        return name;
    }

    private Known known() {
        return known.get("all", () -> {
            // Name and kind of an account never change, so that it is no matter whether they were read before.
            List<ServiceAccount> accounts =
                    db.createQuery("from ServiceRow order by id", ServiceRow.class).getResultList().stream()
                            .map(row -> new ServiceAccount(row.id, row.name, row.hookupId, kind(row.kind)))
                            .toList();
            return new Known(
                    accounts, accounts.stream().collect(Collectors.toMap(ServiceAccount::id, ServiceAccount::name)));
        });
    }

    private ServiceAdapter kind(String name) {
        return kinds.stream()
                .filter(kind -> kind.rules().serviceName().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("there is no service of the kind " + name));
    }

    private void changed(int id) {
        known.forget();
        events.publishEvent(new LaneChanged(id));
    }
}
