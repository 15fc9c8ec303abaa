package yokebar.app.log;

/** What somebody did to the log. */
public enum ChangeKind {
    LOGGED,
    EDITED,
    DELETED,
    MERGED,
    IMPORTED,
    SPLIT,
    JOINED,
    UNDONE
}
