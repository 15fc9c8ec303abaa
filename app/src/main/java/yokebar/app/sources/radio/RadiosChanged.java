package yokebar.app.sources.radio;

/** A radio was added, set up differently or removed. */
public record RadiosChanged() {}
