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
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.PropagationMode;

/** A net as it is set up. */
@Entity
@Table(name = "net")
class NetRow {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "net")
    @SequenceGenerator(name = "net", sequenceName = "net_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";

    @Nullable
    String usualTimes;

    @Nullable
    Long frequencyHz;

    @Nullable
    String mode;

    /** How its contacts travel; null when the known channels decide. */
    @Enumerated(EnumType.STRING)
    @Nullable
    PropagationMode travels;

    boolean netControl = true;

    boolean logs = true;

    int identifyMinutes;

    long number() {
        return Objects.requireNonNull(id, "not stored yet");
    }
}
