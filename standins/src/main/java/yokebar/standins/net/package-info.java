/** The stations that check in to a net, as an operator hears them. */
@NullMarked
package yokebar.standins.net;

import org.jspecify.annotations.NullMarked;
