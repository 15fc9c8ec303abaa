package yokebar.app.operate.contest.team;

/** Who works a contest book is different, or somebody said something. */
record TeamUpdated() {}
