package yokebar.app.operate.contest.sending;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;

/** A serial that was sent to a station. */
@Entity
@Table(name = "contest_serial")
class SerialRow {
    /** @param lineKey of the line on which the contact is typed */
    @Embeddable
    record Line(long bookId, String lineKey) implements Serializable {}

    @EmbeddedId
    Line line = new Line(0, "");

    int serial;

    @Column(name = "call_sign")
    String call = "";

    Instant sentAt = Instant.EPOCH;
}
