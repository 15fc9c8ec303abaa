package yokebar.app.radio;

/** A radio was added, set up differently or removed. */
public record RadiosChanged() {}
