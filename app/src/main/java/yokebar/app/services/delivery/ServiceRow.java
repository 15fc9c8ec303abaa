package yokebar.app.services.delivery;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.secret.RowWithSecret;

/** A service and the operator's settings for it. */
@Entity
@Table(name = "service")
public class ServiceRow extends RowWithSecret {
    /** When what is due goes. */
    public enum When {
        /** Within seconds. */
        AT_ONCE,
        /** Every so many minutes. */
        EVERY,
        /** When Yokebar ends. */
        AT_EXIT,
        BY_HAND
    }

    @Id
    int id;

    @Version
    int version;

    String name = "";

    /** The kind of service, as {@code services.txt} names it. */
    String kind = "";

    String hookupId = "";

    /** Contacts get delivery rows for it. */
    boolean inUse;

    @Nullable
    String address;

    @Nullable
    String account;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    When sendWhen = When.BY_HAND;

    int everyMinutes = 30;

    boolean paused;

    /** The service's own report has come back once. */
    boolean proven;

    boolean takesRelayed;

    /** Own calls whose contacts go there, parted by blanks; empty for all. */
    String ownCalls = "";

    @Nullable
    LocalDate fromDay;

    /** How far the contacts that were there before the service was taken into use have got their rows; null when all have. */
    @Nullable
    Long filledTo;

    @Column(name = "fetch_every_s")
    int fetchEverySeconds;

    /** From there on all confirmations have been fetched, by the time the service received them, UTC. */
    @Nullable
    Instant confirmationsFrom;

    /** All confirmations the service received up to then have been fetched, UTC. */
    @Nullable
    Instant confirmationsUntil;

    @Nullable
    Instant sweptUntil;

    @Nullable
    Instant sweptAt;

    @Nullable
    public Instant lastHandoverAt;
}
