package yokebar.app.operate.contest.adjudicator;

/** A log was handed in or refused, or the adjudicator reported on one. */
public record HandInChanged() {}
