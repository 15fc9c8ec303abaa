package yokebar.core.log.index;

/** How many contacts have a value. */
public record ValueCount(String value, int contacts) {}
