package yokebar.app.search;

/** The search tries something else, found something or ended. */
public record SearchUpdated() {}
