package yokebar.app.operate.net.roster;

/** Another station is missed, or one is no longer. */
public record RosterChanged() {}
