package yokebar.app.operate.contest.sending;

/** A text was written or taken back. */
public record ContestTextsChanged() {}
