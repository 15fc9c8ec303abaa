/** Where a contact of a contest is made: frequency, band and mode. */
@NullMarked
package yokebar.app.operate.contest.channel;

import org.jspecify.annotations.NullMarked;
