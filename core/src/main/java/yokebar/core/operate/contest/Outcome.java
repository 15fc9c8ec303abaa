package yokebar.core.operate.contest;

/** Whether a contact counts in a contest, or why not. */
public enum Outcome {
    COUNTS(""),
    /** The station was worked before where the rules count it only once. */
    DUPE("worked before"),
    OUTSIDE_PERIODS("outside the times of the contest"),
    OTHER_BAND("not on a band of the contest"),
    OTHER_MODE("not in a mode of the contest"),
    /** Nothing of the exchange was received but a report: it was an ordinary contact. */
    NO_EXCHANGE("no exchange received"),
    /** The rules say that these two stations do not work each other. */
    NOT_COUNTED("these stations do not work each other"),
    /** The operating time was used up. */
    OVER_TIME("the operating time is used up"),
    /** The band had been changed too often in that hour. */
    BAND_CHANGED("the band was changed too often this hour"),
    /** Too many contacts were made in one place. */
    NOT_MOVED("too many in one place; move on first");

    private final String reason;

    Outcome(String reason) {
        this.reason = reason;
    }

    /** Why it does not count, in words; empty when it does. */
    public String reason() {
        return reason;
    }
}
