/** ADIF text as the services of the simulated world read it, by code of their own. */
@NullMarked
package yokebar.standins.adif;

import org.jspecify.annotations.NullMarked;
