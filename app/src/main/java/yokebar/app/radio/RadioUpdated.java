package yokebar.app.radio;

/** A radio reported something new, or was connected or lost. */
public record RadioUpdated(long radioId) {}
