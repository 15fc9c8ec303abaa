/** The log held ready for searching: conditions, facets, order, statistics. */
@NullMarked
package yokebar.core.log.index;

import org.jspecify.annotations.NullMarked;
