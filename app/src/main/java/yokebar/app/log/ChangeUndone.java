package yokebar.app.log;

/** A change is being taken back. Published inside the first transaction that does. */
public record ChangeUndone(long changeId) {}
