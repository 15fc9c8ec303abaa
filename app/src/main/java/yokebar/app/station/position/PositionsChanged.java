package yokebar.app.station.position;

/**
 * A position shows something else than before.
 *
 * @param setUp whether it was set up differently; else its radio is now within or beyond a segment or a licence
 */
public record PositionsChanged(boolean setUp) {}
