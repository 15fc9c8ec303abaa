/** The per-contact online log. */
@NullMarked
package yokebar.links.services.quayside;

import org.jspecify.annotations.NullMarked;
