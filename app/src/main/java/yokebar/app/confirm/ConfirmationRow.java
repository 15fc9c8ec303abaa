package yokebar.app.confirm;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A confirmation as the service gave it, and the contact it was found to speak of. */
@Entity
@Table(name = "confirmation")
class ConfirmationRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "confirmation")
    @SequenceGenerator(name = "confirmation", sequenceName = "confirmation_seq", allocationSize = 50)
    @Nullable
    Long id;

    int serviceId;

    /** The service's number for it. */
    String number = "";

    Instant receivedAt = Instant.EPOCH;
    Instant fetchedAt = Instant.EPOCH;
    String ownCall = "";
    String callSign = "";
    String band = "";
    String mode = "";

    @Nullable
    String submode;

    Instant startedAt = Instant.EPOCH;

    @Nullable
    String locator;

    /** Null when no contact of the log fits. */
    @Nullable
    Long contactId;
}
