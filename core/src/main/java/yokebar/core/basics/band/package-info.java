/** Amateur bands with the limits the ADIF specification gives them. */
@NullMarked
package yokebar.core.basics.band;

import org.jspecify.annotations.NullMarked;
