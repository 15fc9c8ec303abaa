package yokebar.app.services.delivery.picture;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A picture the operator put to a contact, for services that show pictures. */
@Entity
public class ContactPicture {
    @Id
    long contactId;

    @Version
    int version;

    String contentType = "";

    /** Null once it was taken away here and is still to be taken away there. */
    @Lob
    public byte @Nullable [] content;

    /** The received picture it is a copy of; null for one that was uploaded. */
    @Nullable
    Long receivedId;

    public Instant addedAt = Instant.EPOCH;

    /**
     * The service's number of the contact a picture was sent to, noted before the first byte goes: from then on it may be
     * there. A contact that went there anew has another.
     */
    @Nullable
    String sentNumber;

    /** When the service said it has it; null as long as it did not. */
    @Nullable
    public Instant sentAt;

    /** Why the service does not want it. */
    @Nullable
    String trouble;
}
