package yokebar.app.intake;

/** What was done with an arriving record. */
public enum Decision {
    ADDED,
    MERGED,
    DUPLICATE,
    REFUSED
}
