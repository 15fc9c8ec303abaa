package yokebar.app.operate.contest;

/** Contacts of contest books, or the books themselves, are different now. */
record ContestUpdated() {}
