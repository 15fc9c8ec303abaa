/** A log that is looked at before it is imported. */
@NullMarked
package yokebar.app.sources.intake.tryout;

import org.jspecify.annotations.NullMarked;
