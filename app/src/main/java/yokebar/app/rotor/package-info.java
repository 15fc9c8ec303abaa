/** The station's rotators: where the antennas point, and turning them. */
@NullMarked
package yokebar.app.rotor;

import org.jspecify.annotations.NullMarked;
