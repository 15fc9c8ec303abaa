/** What becomes of an arriving record: completed, matched with the log, split and joined as the operator said. */
@NullMarked
package yokebar.app.sources.intake.decide;

import org.jspecify.annotations.NullMarked;
