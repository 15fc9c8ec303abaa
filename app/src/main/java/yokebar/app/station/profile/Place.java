package yokebar.app.station.profile;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** Where the station is operated from. */
@Entity
class Place {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "place")
    @SequenceGenerator(name = "place", sequenceName = "place_seq", allocationSize = 1)
    @Nullable
    Long id;

    @Version
    int version;

    String name = "";

    @Nullable
    String locator;

    @Nullable
    String rig;

    @Nullable
    String antenna;

    /** Default power, W. */
    @Column(name = "power_w")
    @Nullable
    Integer powerW;

    /** Put into new contacts that have none. */
    @Nullable
    String comment;

    /** Set by hand; null for what follows from the call. */
    @Nullable
    Integer entityCode;

    @Nullable
    Integer cqZone;

    @Nullable
    Integer ituZone;
}
