/** The certified confirmation service: batches, reports and confirmations over HTTP with JSON. */
@NullMarked
package yokebar.links.countersign;

import org.jspecify.annotations.NullMarked;
