package yokebar.app.operate.contest.team;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A message between positions, or a station that one passes to another. */
@Entity
@Table(name = "contest_message")
class MessageRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "contest_message")
    @SequenceGenerator(name = "contest_message", sequenceName = "contest_message_seq", allocationSize = 1)
    @Nullable
    Long id;

    long bookId;

    Instant sentAt = Instant.EPOCH;

    /** The name of the position. */
    String sender = "";

    /** Null for all positions. */
    @Nullable
    Long toPosition;

    @Nullable
    String addressee;

    /** Empty for a station. */
    String wording = "";

    /** Of a station that is passed on; null for a message. */
    @Nullable
    @Column(name = "call_sign")
    String call;

    /** Where the station is sent to. */
    @Nullable
    Long frequencyHz;

    /** Whether somebody has taken the station. */
    boolean taken;
}
