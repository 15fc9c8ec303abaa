/** The index of the log beside two that a library would make; what came of it stands in docs/decisions/0007-log-index.md. */
@NullMarked
package yokebar.bench.index;

import org.jspecify.annotations.NullMarked;
