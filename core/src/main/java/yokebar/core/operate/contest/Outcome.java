package yokebar.core.operate.contest;

/** Whether a contact counts in a contest, or why not. */
public enum Outcome {
    COUNTS,
    /** The station was worked before where the rules count it only once. */
    DUPE,
    OUTSIDE_PERIODS,
    OTHER_BAND,
    OTHER_MODE,
    /** The rules say that these two stations do not work each other. */
    NOT_COUNTED
}
