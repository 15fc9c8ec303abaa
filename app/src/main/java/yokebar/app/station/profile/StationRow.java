package yokebar.app.station.profile;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Region;

/** The one row that says who we are and how we like things. */
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

    @Enumerated(EnumType.STRING)
    Region region = Region.EUROPE_AFRICA;

    /** ADIF names, parted by commas. */
    String bandsInUse = "";

    /** Labels of radio modes, parted by commas. */
    String modesInUse = "";

    boolean miles;

    @Enumerated(EnumType.STRING)
    DateForm dateForm = DateForm.YEAR_FIRST;

    /** An IANA time zone; null for the browser's own. */
    @Nullable
    String secondClock;

    /** Host, or host and port; null for no check of the clock. */
    @Nullable
    String timeServer;

    /** Known repeaters and satellites, one a line; null for none. */
    @Nullable
    String channels;
}
