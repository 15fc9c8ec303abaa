package yokebar.core.log.tally;

/** What contacts are counted by. */
public enum CreditKind {
    /** The call as it was given. */
    CALL,
    /** The call as it was issued, without what was put before or behind it. */
    BASE_CALL,
    /** The number of the entity, such as {@code 291}. */
    ENTITY,
    CQ_ZONE,
    /** State, province or the like, by entity number and code, such as {@code 291/CA}. */
    STATE,
    /** The first four characters of the locator. */
    SQUARE,
    PREFIX,
    /** An island, a summit, a park, as {@link References} reads it; a contact may have several. */
    REFERENCE;

    public CreditKey key(String value) {
        return new CreditKey(this, value);
    }
}
