/** The online log that takes contact by contact. */
@NullMarked
package yokebar.standins.quayside;

import org.jspecify.annotations.NullMarked;
