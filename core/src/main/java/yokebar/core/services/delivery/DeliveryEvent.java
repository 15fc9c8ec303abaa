package yokebar.core.services.delivery;

/** What can happen to a contact at a service. */
public enum DeliveryEvent {
    /** The rules were looked at, and nothing holds it. */
    RULES_ALLOW,
    /** The rules were looked at, and one holds it. */
    RULES_HOLD,
    /** The service gave a receipt for a batch that contains it. */
    HANDED_OVER,
    /** The service's report lists it as taken or already known. */
    LISTED,
    /** The service's report says it was not taken. */
    REJECTED,
    /** A confirmation by the other side was fetched. */
    CONFIRMED,
    /** A confirmation turned out to speak of another contact. */
    DISPROVED,
    /** The operator says that it was not sent after all; only where things go by hand. */
    TAKEN_BACK,
    /** Something in it that this service receives was edited. */
    CONTENT_CHANGED,
    /** Such an edit was taken back: it is again what the service has. */
    CONTENT_RESTORED,
    /** The operator thinks that it was refused wrongly and wants it to go again. */
    RETRIED,
    /** The operator does not want it to go there. */
    EXCLUDED,
    /** The operator takes the exclusion back. */
    INCLUDED
}
