/** Stations that are known from published lists, and what they are known to send. */
@NullMarked
package yokebar.core.basics.station;

import org.jspecify.annotations.NullMarked;
