package yokebar.app.services.delivery.identity;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A request for a certificate that waits for the code of the letter; its key is sealed. */
@Entity
@Table(name = "identity_request")
public class IdentityRequestRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "identity_request")
    @SequenceGenerator(name = "identity_request", sequenceName = "identity_request_seq", allocationSize = 1)
    @Nullable
    Long id;

    int serviceId;
    public String callSign = "";
    Instant contactsFrom = Instant.EPOCH;
    Instant contactsUntil = Instant.EPOCH;
    public String postalAddress = "";

    /** The service's number for it. */
    public String number = "";

    /** What the service said. */
    public String words = "";

    public Instant askedAt = Instant.EPOCH;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] sealedKey = new byte[0];

    public long identifier() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }
}
