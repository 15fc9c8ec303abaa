package yokebar.app.operate.net.mark;

/** Other words are typed for what a station says of itself. */
public record MarkWordsChanged() {}
