package yokebar.core.operate.contest;

/** Whether a contact counts in a contest, or why not. */
public enum Outcome {
    COUNTS,
    /** The station was worked before where the rules count it only once. */
    DUPE,
    OUTSIDE_PERIODS,
    OTHER_BAND,
    OTHER_MODE,
    /** Nothing of the exchange was received but a report: it was an ordinary contact. */
    NO_EXCHANGE,
    /** The rules say that these two stations do not work each other. */
    NOT_COUNTED
}
