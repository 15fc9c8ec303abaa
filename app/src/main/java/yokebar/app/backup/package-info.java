/** What survives a loss: the second copy, dated backups, restoring them. */
@NullMarked
package yokebar.app.backup;

import org.jspecify.annotations.NullMarked;
