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

/** An installed identity; the key and its passphrase are sealed. */
@Entity
@Table(name = "signing_identity")
public class SigningIdentityRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "identity")
    @SequenceGenerator(name = "identity", sequenceName = "identity_seq", allocationSize = 1)
    @Nullable
    Long id;

    public long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    int serviceId;
    public String callSign = "";

    /** First instant of contacts it covers, UTC. */
    public Instant validFrom = Instant.EPOCH;

    /** Last instant of contacts it covers, UTC. */
    public Instant validUntil = Instant.EPOCH;

    /** When the certificate itself ends, UTC; null when it was installed before that was noted. */
    @Nullable
    public Instant certificateEnds;

    /** Where contacts signed with it were made when they do not say so themselves; null for nowhere. */
    @Nullable
    public Long placeId;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] sealedFile = new byte[0];

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] sealedPassphrase = new byte[0];
}
