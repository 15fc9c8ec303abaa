package yokebar.core.operate.contest.sending;

/** How an operator works in a contest. */
public enum WayOfWorking {
    /** Calls and is called, on one frequency. */
    RUN,
    /** Looks for stations that call, and calls them. */
    SEARCH
}
