/** The one log: contacts, their edits and their journey. */
@NullMarked
package yokebar.app.log;

import org.jspecify.annotations.NullMarked;
