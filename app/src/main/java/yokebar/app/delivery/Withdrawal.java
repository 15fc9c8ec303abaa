package yokebar.app.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A contact that was deleted here and has to be deleted at a service. */
@Entity
class Withdrawal {
    @Id
    long deliveryId;

    int serviceId;

    /** The service's number for it. */
    String number = "";

    Instant askedAt = Instant.EPOCH;

    @Nullable
    String trouble;
}
