package yokebar.app.station.profile;

/** The station's own call, an operator or a place was changed. */
public record StationChanged() {}
