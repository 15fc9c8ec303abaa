package yokebar.app.operate.onair;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** The sun's numbers at a time. */
@Entity
@Table(name = "solar_reading")
class SolarReading {
    @Id
    Instant at = Instant.EPOCH;

    /** At 10.7 cm, solar flux units. */
    @Nullable
    Integer flux;

    @Nullable
    Integer aIndex;

    @Nullable
    Integer kIndex;
}
