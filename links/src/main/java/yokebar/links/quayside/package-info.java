/** The per-contact online log. */
@NullMarked
package yokebar.links.quayside;

import org.jspecify.annotations.NullMarked;
