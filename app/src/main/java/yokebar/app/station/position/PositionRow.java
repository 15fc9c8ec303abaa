package yokebar.app.station.position;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A position as it is set up. */
@Entity
@Table(name = "operating_position")
class PositionRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "operating_position")
    @SequenceGenerator(name = "operating_position", sequenceName = "operating_position_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";

    @Nullable
    Long operatorId;

    @Nullable
    Long placeId;

    @Nullable
    Long radioId;

    /** Null for the station's own call. */
    @Nullable
    String ownCall;

    /** When somebody last sat down there or changed it. */
    Instant usedAt = Instant.EPOCH;

    long number() {
        if (id == null) {
            throw new IllegalStateException("not stored yet");
        }
        return id;
    }
}
