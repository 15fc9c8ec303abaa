package yokebar.app.services.delivery.ledger;

import java.util.Map;
import java.util.TreeMap;
import yokebar.core.services.delivery.DeliveryState;

/** Counts moves between states during a transaction, so that each count is written once at its end. */
public final class StateTally {
    private final Map<Integer, Map<DeliveryState, Long>> changes = new TreeMap<>();

    void came(int serviceId, DeliveryState state) {
        add(serviceId, state, 1);
    }

    void add(int serviceId, DeliveryState state) {
        add(serviceId, state, -1);
    }

    void moved(int serviceId, DeliveryState from, DeliveryState to) {
        add(serviceId, from, -1);
        add(serviceId, to, 1);
    }

    /** By service, in a fixed order, so that two transactions cannot wait for each other's counts. */
    Map<Integer, Map<DeliveryState, Long>> changes() {
        return changes;
    }

    private void add(int serviceId, DeliveryState state, long contacts) {
        changes.computeIfAbsent(serviceId, id -> new TreeMap<>()).merge(state, contacts, Long::sum);
    }
}
