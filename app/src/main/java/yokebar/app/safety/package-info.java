/** Keeping things safe: secrets sealed at rest, one process to one data folder. */
@NullMarked
package yokebar.app.safety;

import org.jspecify.annotations.NullMarked;
