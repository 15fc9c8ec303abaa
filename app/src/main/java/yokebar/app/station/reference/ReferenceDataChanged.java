package yokebar.app.station.reference;

/** A newer edition is in use from now on. */
public record ReferenceDataChanged() {}
