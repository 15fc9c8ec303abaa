package yokebar.app.log;

/** A change of the log began, went on or ended. */
public record ChangeUpdated(long changeId) {}
