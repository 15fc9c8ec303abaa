package yokebar.core.services.delivery;

/** Where a contact stands at one service. */
public enum DeliveryState {
    /** A rule keeps it back; the reason is stored. */
    HELD,
    DUE,
    /** Given to the service, not proven. */
    HANDED_OVER,
    /** The service's own report lists it. */
    ACCEPTED,
    /** The other side agrees. */
    CONFIRMED,
    /** The service refused it, with its words; due again once corrected. */
    REFUSED,
    /** Accepted, but edited since; goes again. */
    CHANGED,
    /** Excluded by the operator. */
    NOT_MEANT;

    /** Whether it waits to be put into the next batch. */
    public boolean waitsToGo() {
        return this == DUE || this == CHANGED;
    }
}
