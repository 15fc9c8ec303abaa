/** Every record that ever arrived, with what was decided, and sending one through again. */
@NullMarked
package yokebar.app.sources.intake.journal;

import org.jspecify.annotations.NullMarked;
