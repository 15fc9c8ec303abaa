/** Who belongs to a net: those who checked in before, and what the operator corrected of that. */
@NullMarked
package yokebar.app.operate.net.roster;

import org.jspecify.annotations.NullMarked;
