package yokebar.core.operate.need;

/** What contacts are counted by. */
public enum Kind {
    /** The call as it was given. */
    CALL,
    /** The call as it was issued, whatever was said before or behind it. */
    BASE_CALL,
    ENTITY,
    CQ_ZONE,
    /** State, province or the like, by entity number and code, such as {@code 291/CA}. */
    STATE,
    /** The first four characters of the locator. */
    SQUARE,
    PREFIX,
    /** An island, a summit, a park, as {@link References} reads it. */
    REFERENCE
}
