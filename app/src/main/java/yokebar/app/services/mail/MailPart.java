package yokebar.app.services.mail;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Where a part of a letter in the outbox stands; what it holds is cut from the letter's batch when it is sent. */
@Entity
@Table(name = "mail_part")
class MailPart {

    /** @param part counted from 1 */
    @Embeddable
    record Key(long handoverId, int part) {}

    @EmbeddedId
    Key key = new Key(0, 0);

    int parts;

    /** Its length. */
    int bytes;

    /** Bytes the gateway has acknowledged. */
    int sentBytes;

    @Nullable
    Instant takenAt;
}
