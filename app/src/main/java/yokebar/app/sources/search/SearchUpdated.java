package yokebar.app.sources.search;

/** The search tries something else, found something or ended. */
public record SearchUpdated() {}
