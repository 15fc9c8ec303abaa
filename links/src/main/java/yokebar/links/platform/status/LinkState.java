package yokebar.links.platform.status;

/** The states of a link. */
public enum LinkState {
    /** Switched off by the operator. */
    OFF,
    STARTING,
    /** Connected, and data came lately. */
    LIVE,
    /** Connected, but its answers take long; how long is known. */
    SLOW,
    /** Connected, but nothing was heard for long. */
    QUIET,
    /** Something is in the way; the reason and the next try are known. */
    TROUBLE;

    /** Whether it is connected and does what it is asked. */
    public boolean works() {
        return this == LIVE || this == SLOW;
    }
}
