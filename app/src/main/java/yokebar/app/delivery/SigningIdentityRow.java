package yokebar.app.delivery;

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
class SigningIdentityRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "identity")
    @SequenceGenerator(name = "identity", sequenceName = "identity_seq", allocationSize = 1)
    @Nullable
    Long id;

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }

    int serviceId;
    String callSign = "";

    /** First instant of contacts it covers, UTC. */
    Instant validFrom = Instant.EPOCH;

    /** Last instant of contacts it covers, UTC. */
    Instant validUntil = Instant.EPOCH;

    /** When the certificate itself ends, UTC; null when it was installed before that was noted. */
    @Nullable
    Instant certificateEnds;

    /** Where contacts signed with it were made when they do not say so themselves; null for nowhere. */
    @Nullable
    Long placeId;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] sealedFile = new byte[0];

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] sealedPassphrase = new byte[0];
}
