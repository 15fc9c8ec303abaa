package yokebar.app.station.callbook;

/** What is known of stations is another: a callbook file was read, or put away. */
public record CallbookFileChanged() {}
