/** The publisher of reference data. */
@NullMarked
package yokebar.standins.reference;

import org.jspecify.annotations.NullMarked;
