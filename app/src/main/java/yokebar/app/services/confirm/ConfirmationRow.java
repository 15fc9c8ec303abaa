package yokebar.app.services.confirm;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.services.confirm.ConfirmedRecord;

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

    /** What the other side wrote with it. */
    @Nullable
    String remark;

    /** Where the service has a picture of the card. */
    @Nullable
    String picture;

    /** What was new with it when it came, such as a first entity; null when nothing was. */
    @Nullable
    String brings;

    /** Null when no contact of the log fits. */
    @Nullable
    Long contactId;

    /** The operator looked at it, and it is of no contact of ours. */
    boolean setAside;

    /** What the other side says, for matching; null when what was stored is no longer understood. */
    @Nullable
    ConfirmedRecord record() {
        Band in = Band.named(band);
        Mode by = Modes.read(mode, submode);
        return in == null || by == null
                ? null
                : new ConfirmedRecord(new Call(ownCall), new Call(callSign), in, by, startedAt);
    }

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }
}
