package yokebar.app.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A service and the operator's settings for it. */
@Entity
@Table(name = "service")
class ServiceRow {
    @Id
    int id;

    @Version
    int version;

    String name = "";

    @Nullable
    String address;

    @Nullable
    String account;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte @Nullable [] sealedPassword;

    /** Hand over as soon as something is due, instead of by hand only. */
    boolean atOnce;

    @jakarta.persistence.Column(name = "fetch_every_s")
    int fetchEverySeconds;

    /** All confirmations the service received up to then have been fetched, UTC. */
    @Nullable
    Instant confirmationsUntil;
}
