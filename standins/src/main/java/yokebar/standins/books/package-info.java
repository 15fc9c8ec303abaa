/** What the services of the simulated world write down, so that it outlives the process. */
@NullMarked
package yokebar.standins.books;

import org.jspecify.annotations.NullMarked;
