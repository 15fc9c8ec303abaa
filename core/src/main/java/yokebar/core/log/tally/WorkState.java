package yokebar.core.log.tally;

/** How far something is: a need mark's part is empty, half or full. */
public enum WorkState {
    NEEDED,
    WORKED,
    CONFIRMED
}
