package yokebar.app.operate.picture;

/** What became of a received picture. */
enum PictureState {
    /** Nothing was decided. */
    WAITING,
    /** It belongs to a contact in the log. */
    ATTACHED,
    /** It is kept without a contact. */
    KEPT,
    HIDDEN
}
