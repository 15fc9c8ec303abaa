package yokebar.app.operate.net;

/** A net sheet shows something else than before. */
record NetSheetChanged(long sessionId) {}
