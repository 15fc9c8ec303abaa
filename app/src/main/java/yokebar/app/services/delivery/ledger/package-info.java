/** Where each contact stands at each service: its rows, their states and counts, and what makes them change. */
@NullMarked
@NamedInterface("ledger")
package yokebar.app.services.delivery.ledger;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
