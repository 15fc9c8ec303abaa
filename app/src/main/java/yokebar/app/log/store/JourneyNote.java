package yokebar.app.log.store;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import yokebar.app.log.JourneyStep;

/** A step of a contact's journey that no other table tells. */
@Entity
public class JourneyNote {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "journey_note")
    @SequenceGenerator(name = "journey_note", sequenceName = "journey_note_seq", allocationSize = 50)
    @Nullable
    Long id;

    long contactId;
    Instant notedAt = Instant.EPOCH;

    @Enumerated(EnumType.STRING)
    @JdbcTypeCode(SqlTypes.VARCHAR)
    JourneyStep.Kind kind = JourneyStep.Kind.EDITED;

    String sentence = "";

    /** Who did it, in words; null for the station itself. */
    @Nullable
    String madeBy;
}
