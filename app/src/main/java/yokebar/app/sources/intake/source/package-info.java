/** Followed files and ports as the operator sets them up. */
@NullMarked
package yokebar.app.sources.intake.source;

import org.jspecify.annotations.NullMarked;
