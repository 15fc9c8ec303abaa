package yokebar.app.mail;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A part of a letter in the outbox. */
@Entity
@Table(name = "mail_part")
class MailPart {

    /** @param part counted from 1 */
    @Embeddable
    record Key(long handoverId, int part) {}

    @EmbeddedId
    Key key = new Key(0, 0);

    int parts;

    @JdbcTypeCode(SqlTypes.VARBINARY)
    byte[] content = new byte[0];

    /** Bytes the gateway has acknowledged. */
    int sentBytes;

    @Nullable
    Instant takenAt;
}
