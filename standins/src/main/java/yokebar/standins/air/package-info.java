/** Who is on the air in the simulated world, and who hears whom. */
@NullMarked
package yokebar.standins.air;

import org.jspecify.annotations.NullMarked;
