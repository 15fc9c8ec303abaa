/** What all services have in common that contacts are handed to: receipts, reports, confirmations. */
@NullMarked
package yokebar.links.services.delivery;

import org.jspecify.annotations.NullMarked;
