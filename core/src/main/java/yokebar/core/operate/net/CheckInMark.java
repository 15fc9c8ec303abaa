package yokebar.core.operate.net;

/** What a station says of itself when it checks in. */
public enum CheckInMark {
    /** It has a message to pass on, or asks for something. */
    TRAFFIC,
    /** It has to leave soon and gets its turn before the others. */
    EARLY,
    /** It only listens and gets no turn. */
    LISTENING
}
