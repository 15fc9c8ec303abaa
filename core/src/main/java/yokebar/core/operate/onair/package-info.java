/** What is on the air, how much it is wanted, and whether it can be heard here. */
@NullMarked
package yokebar.core.operate.onair;

import org.jspecify.annotations.NullMarked;
