/** The certified confirmation service: batches, reports and confirmations over HTTP with JSON. */
@NullMarked
package yokebar.links.services.countersign;

import org.jspecify.annotations.NullMarked;
