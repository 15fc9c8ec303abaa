package yokebar.app.services.delivery;

import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.core.services.delivery.ServiceRules;

/**
 * An account at a service. There may be several of one kind, such as the club's online log and one's own.
 *
 * @param id never given to another account, not even after this one was removed
 * @param name as the operator knows it; no two have the same
 * @param hookupId of the line to it
 * @param kind what is particular to services of its kind
 */
public record ServiceAccount(int id, String name, String hookupId, ServiceAdapter kind) {

    public ServiceRules rules() {
        return kind.rules();
    }
}
