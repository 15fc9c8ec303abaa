/** Where people sit: each browser is at one position, with its operator, place, radio and call. */
@NullMarked
package yokebar.app.position;

import org.jspecify.annotations.NullMarked;
