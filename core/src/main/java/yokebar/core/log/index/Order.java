package yokebar.core.log.index;

/**
 * How what was found is sorted; contacts alike stand the newest first.
 *
 * @param field {@link #START}, {@link #FREQUENCY} or a field's name
 */
public record Order(String field, boolean descending) {
    public static final String START = "START";
    public static final String FREQUENCY = "FREQ";
    public static final Order NEWEST_FIRST = new Order(START, true);
}
