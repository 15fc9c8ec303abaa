package yokebar.core.log;

/** How many contacts have a value. */
public record ValueCount(String value, int contacts) {}
