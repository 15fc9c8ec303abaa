package yokebar.links.sources.radio;

/** What became of a command. */
public enum CommandOutcome {
    /** The radio did it. */
    DONE,
    /** The radio refused it. */
    REFUSED,
    /** The radio neither refused nor did it. */
    IGNORED,
    /** The radio did not answer in time. */
    UNANSWERED,
    /** A newer command of the same kind took its place. */
    SUPERSEDED,
    /** More was asked of the radio than it can take, or it is not connected. */
    DROPPED,
    /** The dialect has no words for it. */
    IMPOSSIBLE
}
