package yokebar.app.sources.radio;

/** A radio reported something new, or was connected or lost. */
public record RadioUpdated(long radioId) {}
