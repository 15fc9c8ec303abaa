/**
 * What the log's contacts count for: each gives credits (an entity, a zone, a square, an island), and a tally counts them by band,
 * mode group and proof, for the whole log or a scope of it. Goals on the air stand on it; awards and contests will.
 */
@NullMarked
package yokebar.core.log.tally;

import org.jspecify.annotations.NullMarked;
