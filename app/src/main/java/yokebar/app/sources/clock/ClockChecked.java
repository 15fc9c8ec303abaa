package yokebar.app.sources.clock;

/** The clock was checked, or is not checked any more. */
public record ClockChecked() {}
