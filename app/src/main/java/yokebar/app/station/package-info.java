/** Who and where we are: own call, operators, places. */
@NullMarked
package yokebar.app.station;

import org.jspecify.annotations.NullMarked;
