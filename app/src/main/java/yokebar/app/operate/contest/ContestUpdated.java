package yokebar.app.operate.contest;

/**
 * Contest books are different now.
 *
 * @param what of them
 */
record ContestUpdated(Part what) {

    /** What of the books is different. */
    enum Part {
        /** Which there are, or what they say of themselves. */
        BOOKS,
        /** Their contacts, and so the score; many times a minute. */
        CONTACTS
    }
}
