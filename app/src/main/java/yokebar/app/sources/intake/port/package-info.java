/** Ports of this computer by which programs send records. */
@NullMarked
package yokebar.app.sources.intake.port;

import org.jspecify.annotations.NullMarked;
