/** The live scoreboard: the own score is posted to it while a contest runs, and those of others are read there. */
@NullMarked
package yokebar.app.operate.contest.scoreboard;

import org.jspecify.annotations.NullMarked;
