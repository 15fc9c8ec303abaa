package yokebar.app.services.delivery;

/** What was fetched of confirmations; the feature that fetches them provides it. */
public interface ReceivedConfirmations {

    /** Whether the other side confirmed a contact at a service. */
    boolean has(int serviceId, long contactId);

    /** How many of a service fit no contact and wait for the operator. */
    long unmatched(int serviceId);
}
