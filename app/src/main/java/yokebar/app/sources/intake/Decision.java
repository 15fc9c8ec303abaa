package yokebar.app.sources.intake;

/** What was done with an arriving record. */
public enum Decision {
    ADDED,
    MERGED,
    DUPLICATE,
    /** The operator does not want such contacts from its source. */
    LEFT_OUT,
    REFUSED
}
