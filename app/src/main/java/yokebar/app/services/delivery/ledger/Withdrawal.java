package yokebar.app.services.delivery.ledger;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A contact that was deleted here and has to be deleted at a service. */
@Entity
@IdClass(DeliveryKey.class)
public class Withdrawal {
    @Id
    public long contactId;

    @Id
    public int serviceId;

    /** The service's number for it. */
    public String number = "";

    Instant askedAt = Instant.EPOCH;

    @Nullable
    String trouble;

    public DeliveryKey key() {
        return new DeliveryKey(contactId, serviceId);
    }
}
