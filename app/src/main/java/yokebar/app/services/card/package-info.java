/** Paper cards: which contacts want one, labels and cards to print, sent and received by hand or scanner. */
@NullMarked
@ApplicationModule(
        id = "services.card",
        allowedDependencies = {
            "log",
            "log :: store",
            "platform.rejection",
            "platform.storage",
            "services.delivery",
            "services.delivery :: ledger"
        })
package yokebar.app.services.card;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
