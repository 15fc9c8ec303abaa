package yokebar.app.operate.onair;

/** What is on the air, or how much it is wanted, is different. */
public record AirUpdated() {}
