package yokebar.core.log.tally;

/** How far something is ever, on this band, and in this mode group. */
public record NeedMark(WorkState ever, WorkState band, WorkState mode) {}
