package yokebar.app.services.delivery.ledger;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A contact that was deleted here and has to be deleted at a service. */
@Entity
public class Withdrawal {
    @Id
    public long deliveryId;

    public int serviceId;

    /** The service's number for it. */
    public String number = "";

    Instant askedAt = Instant.EPOCH;

    @Nullable
    String trouble;
}
