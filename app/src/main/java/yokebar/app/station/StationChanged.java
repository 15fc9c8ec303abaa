package yokebar.app.station;

/** The station's own call, an operator or a place was changed. */
public record StationChanged() {}
