package yokebar.core.log.tally;

/**
 * One thing that contacts are counted for, such as zone 14.
 *
 * @param value entity number, zone, square and so on, as {@link CreditKind} says
 */
public record CreditKey(CreditKind kind, String value) {

    /** The value as people say it: a state without the number of its entity. */
    public String spoken() {
        return kind == CreditKind.STATE ? value.substring(value.indexOf('/') + 1) : value;
    }
}
