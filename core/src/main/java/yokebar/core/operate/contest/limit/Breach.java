package yokebar.core.operate.contest.limit;

/** Which limit a contact breaks. */
public enum Breach {
    OPERATING_TIME,
    BAND_CHANGES,
    MOVING
}
