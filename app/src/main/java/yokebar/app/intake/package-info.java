/** Where arriving records are read, completed, matched and stored, and the journal of every one of them. */
@NullMarked
package yokebar.app.intake;

import org.jspecify.annotations.NullMarked;
