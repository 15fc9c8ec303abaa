package yokebar.app.station.reference;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Where newer editions come from, and how the last look went; one row. */
@Entity
@Table(name = "reference_source")
class ReferenceSource {
    static final int ID = 1;

    @Id
    int id = ID;

    @Version
    int version;

    @Nullable
    String address;

    boolean daily;

    @Nullable
    Instant lookedAt;

    @Nullable
    String outcome;

    boolean failed;
}
