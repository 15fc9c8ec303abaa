package yokebar.app.operate.net;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.PropagationMode;

/** One session of a net. What it takes from the net is kept, so that a net that is renamed changes no session. */
@Entity
@Table(name = "net_session")
class NetSessionRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "net_session")
    @SequenceGenerator(name = "net_session", sequenceName = "net_session_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    /** Null when the net was deleted since. */
    @Nullable
    Long netId;

    String netName = "";

    /** Whether this station leads it. */
    boolean netControl;

    boolean logs;

    @Nullable
    Long positionId;

    @Nullable
    String ownCall;

    Instant startedAt = Instant.EPOCH;

    /** Null while it runs. */
    @Nullable
    Instant endedAt;

    /** Where it is while no radio reports anything else. */
    @Nullable
    Long frequencyHz;

    @Nullable
    String mode;

    @Enumerated(EnumType.STRING)
    @Nullable
    PropagationMode travels;

    int round = 1;

    /** Whose turn it is; null while it is nobody's. */
    @Nullable
    Long turnId;

    int identifyMinutes;

    Instant identifiedAt = Instant.EPOCH;

    /** The change of the log that its contacts came with; null before it is closed. */
    @Nullable
    Long changeId;

    long number() {
        return Objects.requireNonNull(id, "not stored yet");
    }

    boolean runs() {
        return endedAt == null;
    }
}
