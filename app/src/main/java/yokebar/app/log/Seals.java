package yokebar.app.log;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Knows where contacts stand at the services; the delivery feature provides it. */
public interface Seals {

    /** The seals of each contact asked for, by contact. */
    Map<Long, List<Seal>> of(Collection<Long> contactIds);

    /** The services' names by their numbers. */
    Map<Integer, String> services();

    /** Gives where every contact stands, contact by contact. */
    void forEach(Receiver receiver);

    /** Gives where some contacts stand. */
    void forEach(Collection<Long> contactIds, Receiver receiver);

    /** Takes where one contact stands at one service. */
    @FunctionalInterface
    interface Receiver {
        void stands(long contactId, int service, String state);
    }
}
