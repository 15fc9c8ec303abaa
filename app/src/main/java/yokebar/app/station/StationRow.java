package yokebar.app.station;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** The one row that says who we are. */
@Entity
@Table(name = "station")
class StationRow {
    static final int ONLY = 1;

    @Id
    int id;

    @Version
    int version;

    @Nullable
    String ownCall;

    @Nullable
    Long operatorId;

    @Nullable
    Long placeId;
}
