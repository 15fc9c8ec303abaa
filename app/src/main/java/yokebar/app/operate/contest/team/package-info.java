/** Several operators on one contest book: who is where, whose a band is, messages, and stations that are passed on. */
@NullMarked
package yokebar.app.operate.contest.team;

import org.jspecify.annotations.NullMarked;
