/** Handing contacts over: batches are made, stored, sent and followed until the service has reported on each contact. */
@NullMarked
@NamedInterface("handover")
package yokebar.app.services.delivery.handover;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
